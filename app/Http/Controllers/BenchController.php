<?php

namespace App\Http\Controllers;

use App\House\Kitchens;
use App\Http\Requests\Reckon;
use App\Http\Shapes\HerbChoice;
use App\Http\Shapes\Materials;
use App\Http\Shapes\MethodChoice;
use App\Http\Shapes\OilChoice;
use App\Http\Shapes\Ref;
use App\Http\Shapes\SchoolChoice;
use App\OpenApi\Adds;
use App\OpenApi\Reads;
use Illuminate\Http\JsonResponse;
use Kettle\Infusion\Method;
use Kettle\Infusion\School;
use Kettle\Material\Carrier;
use Kettle\Material\Herb;
use Kettle\Material\HerbForm;
use Kettle\Measure\AmountWriter;
use Kettle\Recipe\Bench;
use Kettle\Recipe\WishReader;

/** A wish in, amounts out; nothing is kept. */
final class BenchController extends Controller
{
    #[Reads('/houses/{house}/materials', 'Materials', 'What the Bench can choose from')]
    public function materials(Bench $bench): JsonResponse
    {
        $cupboard = $bench->cupboard();
        $herbs = array_map(fn (Herb $h) => new HerbChoice($h->id, $h->name, $h->latin, $h->part, $h->form, $h->kitchen, $h->note), array_values($cupboard->herbs()));
        usort($herbs, fn (HerbChoice $a, HerbChoice $b) => $a->name <=> $b->name);
        $oils = array_map(fn (Carrier $c) => new OilChoice($c->id, $c->name, $c->note, $c->allergens), array_values($cupboard->carriers()));

        return $this->json(new Materials(
            $herbs,
            array_map(fn (HerbForm $f) => new Ref($f->id, $f->name), array_values($cupboard->forms())),
            $oils,
            array_map(fn (Method $m) => new MethodChoice($m->id, $m->name, $m->heated, array_map(
                fn (School $s) => new SchoolChoice($s->id, $s->name, AmountWriter::span($s->usualH), $s->why), $m->schools,
            )), array_values($bench->methods()->all())),
            array_map(fn (string $p) => new Ref($p, $p === 'salve' ? 'a salve' : (in_array($p, ['massage', 'perfume'], true) ? $p : 'the '.$p)), WishReader::PURPOSES),
        ));
    }

    #[Adds('/houses/{house}/reckon', 'Plan', 'Reckon a wish', 'Reckon')]
    public function reckon(Reckon $form, Bench $bench, Kitchens $kitchens): JsonResponse
    {
        $kitchen = $kitchens->withJars();
        /** @var array<mixed> $wish */
        $wish = $form->input('wish');

        return new JsonResponse($bench->document($bench->plan($wish, $kitchen), $kitchen), options: JSON_UNESCAPED_UNICODE);
    }
}
