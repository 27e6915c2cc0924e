<?php

namespace App\Http\Controllers;

use App\House\KitchenFactory;
use App\Http\Requests\Reckon;
use App\Http\Requests\WeighWilting;
use App\Labels\CardSheet;
use App\OpenApi\Adds;
use App\OpenApi\Reads;
use App\Pages\Bench\BenchPage;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Kettle\Ask\Questions;
use Kettle\Recipe\Planning;

/** A wish in, amounts out; nothing is kept. */
final class BenchController extends Controller
{
    #[Reads('/houses/{house}/materials', 'Materials', 'What the Bench can choose from')]
    public function materials(BenchPage $page): JsonResponse
    {
        return $this->json($page->materials());
    }

    #[Adds('/houses/{house}/reckon', 'Plan', 'Reckon a wish', 'Reckon')]
    public function reckon(Reckon $form, Planning $planning, KitchenFactory $kitchens): JsonResponse
    {
        /** @var array<mixed> $wish */
        $wish = $form->input('wish');
        $kitchen = $kitchens->forWish($wish);

        return $this->plain($planning->answer($planning->plan($wish, $kitchen), $kitchen));
    }

    #[Reads('/houses/{house}/oils', 'OilList', 'Oils in order for a purpose', ['purpose'])]
    public function oils(Request $request, Questions $questions, Planning $planning, KitchenFactory $kitchens): JsonResponse
    {
        $purpose = $planning->cupboard()->purpose($this->asked($request, 'purpose') ?: 'skin');

        return $this->plain(['why' => $purpose->why, 'oils' => $questions->oils($purpose->id, $kitchens->withStock())]);
    }

    #[Adds('/houses/{house}/wilting', 'WiltingView', 'How far a plant has wilted', 'WeighWilting')]
    public function wilting(WeighWilting $form, Questions $questions, KitchenFactory $kitchens): JsonResponse
    {
        return $this->plain($questions->wilting($form->validated(), $kitchens->plain()));
    }

    #[Adds('/houses/{house}/card', 'CardView', 'The kitchen card of a wish', 'Reckon')]
    public function card(Reckon $form, BenchPage $page): JsonResponse
    {
        return $this->json($page->card((array) $form->input('wish')));
    }

    #[Adds('/houses/{house}/card.pdf', 'application/pdf', 'The kitchen card of a wish, to print', 'Reckon')]
    public function cardPdf(Reckon $form, BenchPage $page, CardSheet $sheet): Response
    {
        return new Response($sheet->of($page->card((array) $form->input('wish'))), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="kitchen-card.pdf"',
        ]);
    }

    /** @param  array<mixed>  $document */
    private function plain(array $document): JsonResponse
    {
        return new JsonResponse($document, options: JSON_UNESCAPED_UNICODE);
    }
}
