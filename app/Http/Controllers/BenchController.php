<?php

namespace App\Http\Controllers;

use App\Actions\Batches\SecondCharge;
use App\House\KitchenFactory;
use App\Http\Requests\ReadWish;
use App\Http\Requests\Reckon;
use App\Http\Requests\WeighWilting;
use App\Labels\CardSheet;
use App\OpenApi\Operation;
use App\Pages\Bench\BenchPage;
use App\Pages\Bench\HerbFinder;
use App\Responses\Bench\CardView;
use App\Responses\Bench\FoundHerbs;
use App\Responses\Bench\Materials;
use App\Responses\Bench\OilList;
use App\Responses\Bench\OilRow;
use App\Responses\Bench\ReadWishView;
use App\Responses\Bench\Ways;
use App\Responses\Bench\WiltingView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Kettle\Ask\Questions;
use Kettle\Recipe\Planning;

/** A wish in, amounts out; nothing is kept. */
final class BenchController extends Controller
{
    #[Operation('What the Bench can choose from')]
    public function materials(BenchPage $page): Materials
    {
        return $page->materials();
    }

    #[Operation('Herbs by any of their names: what Stores has first', query: ['q'])]
    public function herbs(Request $request, HerbFinder $finder): FoundHerbs
    {
        return $finder->find(mb_substr($this->asked($request, 'q'), 0, 60));
    }

    #[Operation('Reckon a wish', gives: 'Plan')]
    public function reckon(Reckon $form, Planning $planning, SecondCharge $charge): JsonResponse
    {
        /** @var array<mixed> $wish */
        $wish = $form->input('wish');
        $kitchen = $charge->kitchen($wish);

        return new JsonResponse($planning->document($planning->plan($wish, $kitchen), $kitchen), options: JSON_UNESCAPED_UNICODE);
    }

    #[Operation('Every way to make a wish, side by side')]
    public function ways(Reckon $form, Planning $planning, SecondCharge $charge): Ways
    {
        /** @var array<mixed> $wish */
        $wish = $form->input('wish');

        return new Ways($planning->ways($wish, $charge->kitchen($wish)));
    }

    #[Operation('Read a whole wish out of one sentence; nothing is kept')]
    public function read(ReadWish $form, Questions $questions, KitchenFactory $kitchens): ReadWishView
    {
        return new ReadWishView(...$questions->sentence($form->string('text')->toString(), $kitchens->forWish([])));
    }

    #[Operation('Oils in order for a purpose', query: ['purpose'])]
    public function oils(Request $request, Questions $questions, Planning $planning, KitchenFactory $kitchens): OilList
    {
        $purpose = $planning->cupboard()->purpose($this->asked($request, 'purpose') ?: 'skin');

        return new OilList(
            $purpose->why,
            array_map(fn (array $row) => new OilRow(...$row), $questions->oils($purpose->id, $kitchens->withStock())),
        );
    }

    #[Operation('How far a plant has wilted')]
    public function wilting(WeighWilting $form, Questions $questions, KitchenFactory $kitchens): WiltingView
    {
        return new WiltingView(...$questions->wilting($form->validated(), $kitchens->plain()));
    }

    #[Operation('The kitchen card of a wish')]
    public function card(Reckon $form, BenchPage $page): CardView
    {
        return $page->card((array) $form->input('wish'));
    }

    #[Operation('The kitchen card of a wish, to print', gives: 'application/pdf')]
    public function cardPdf(Reckon $form, BenchPage $page, CardSheet $sheet): Response
    {
        return new Response($sheet->of($page->card((array) $form->input('wish'))), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="kitchen-card.pdf"',
        ]);
    }
}
