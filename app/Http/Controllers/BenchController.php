<?php

namespace App\Http\Controllers;

use App\House\KitchenFactory;
use App\Http\Requests\Reckon;
use App\Http\Requests\WeighWilting;
use App\Labels\KitchenCard;
use App\OpenApi\Adds;
use App\OpenApi\Reads;
use App\Responses\HerbChoice;
use App\Responses\Materials;
use App\Responses\MethodChoice;
use App\Responses\OilChoice;
use App\Responses\Ref;
use App\Responses\SchoolChoice;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Kettle\Ask\Questions;
use Kettle\Caution\ColdKept;
use Kettle\Infusion\Method;
use Kettle\Infusion\Variant;
use Kettle\Material\Carrier;
use Kettle\Material\Herb;
use Kettle\Material\HerbForm;
use Kettle\Material\Purpose;
use Kettle\Material\Row;
use Kettle\Material\Wax;
use Kettle\Measure\AmountWriter;
use Kettle\Recipe\Planning;

/** A wish in, amounts out; nothing is kept. */
final class BenchController extends Controller
{
    #[Reads('/houses/{house}/materials', 'Materials', 'What the Planning can choose from')]
    public function materials(Planning $planning, KitchenFactory $kitchens): JsonResponse
    {
        $cupboard = $planning->cupboard();
        $herbs = array_map(
            fn (Herb $h) => new HerbChoice($h->id, $h->name, $h->latin, $h->part, $h->form, $h->kitchen, $h->best->value, $h->note),
            array_values($cupboard->herbs()),
        );
        usort($herbs, fn (HerbChoice $a, HerbChoice $b) => $a->name <=> $b->name);
        $oils = array_map(
            fn (Carrier $c) => new OilChoice($c->id, $c->name, $c->note, $c->food->allergens),
            array_values($cupboard->carriers()),
        );

        return $this->json(
            new Materials(
                $herbs,
                array_map(fn (HerbForm $f) => new Ref($f->id, $f->name), array_values($cupboard->forms())),
                $oils,
                array_map(
                    fn (Method $m) => new MethodChoice(
                        $m->id,
                        $m->name,
                        $m->heated,
                        array_map(
                            fn (Variant $s) => new SchoolChoice($s->id, $s->name, AmountWriter::span($s->usualH), $s->why),
                            $m->schools,
                        ),
                        $m->wants->vessels,
                    ),
                    array_values($planning->methods()->all()),
                ),
                array_map(fn (Purpose $p) => new Ref($p->id, $p->name), array_values($cupboard->purposes())),
                array_map(fn (Wax $w) => new Ref($w->id, $w->name), array_values($cupboard->waxes())),
                array_map(
                    fn (Row $row) => new Ref($row->text('id'), $row->text('name')),
                    array_values($planning->tables()->table('things')->rows('rows')),
                ),
                $kitchens->plain()->warmth(ColdKept::CELSIUS).' or colder',
            ),
        );
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
    public function oils(Request $request, Questions $desk, Planning $planning, KitchenFactory $kitchens): JsonResponse
    {
        $purpose = $planning->cupboard()->purpose($this->asked($request, 'purpose') ?: 'skin');

        return $this->plain(['why' => $purpose->why, 'oils' => $desk->oils($purpose->id, $kitchens->withStock())]);
    }

    #[Adds('/houses/{house}/wilting', 'WiltingView', 'How far a plant has wilted', 'WeighWilting')]
    public function wilting(WeighWilting $form, Questions $desk, KitchenFactory $kitchens): JsonResponse
    {
        return $this->plain($desk->wilting($form->validated(), $kitchens->plain()));
    }

    #[Adds('/houses/{house}/card', 'application/pdf', 'The kitchen card of a wish', 'Reckon')]
    public function card(Reckon $form, Planning $planning, KitchenFactory $kitchens, KitchenCard $card): Response
    {
        /** @var array<mixed> $wish */
        $wish = $form->input('wish');
        $kitchen = $kitchens->forWish($wish);
        $document = $planning->document($planning->plan($wish, $kitchen), $kitchen);

        return new Response($card->of($document, $kitchens->now()->format('j F Y')), 200, [
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
