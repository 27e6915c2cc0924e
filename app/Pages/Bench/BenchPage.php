<?php

namespace App\Pages\Bench;

use App\Actions\Batches\SecondCharge;
use App\House\KitchenFactory;
use App\Responses\Bench\CardView;
use App\Responses\Bench\HeedChoice;
use App\Responses\Bench\HerbChoice;
use App\Responses\Bench\Materials;
use App\Responses\Bench\MethodChoice;
use App\Responses\Bench\OilChoice;
use App\Responses\Bench\SchoolChoice;
use App\Responses\Choice;
use Kettle\Caution\ColdStorage;
use Kettle\Infusion\Method;
use Kettle\Infusion\Variant;
use Kettle\Material\Carrier;
use Kettle\Material\Cupboard;
use Kettle\Material\Heed;
use Kettle\Material\Herb;
use Kettle\Material\HerbForm;
use Kettle\Material\Purpose;
use Kettle\Material\Row;
use Kettle\Material\Wax;
use Kettle\Measure\AmountWriter;
use Kettle\Recipe\KitchenCard;
use Kettle\Recipe\OwnSchools;
use Kettle\Recipe\Planning;
use Kettle\Recipe\WishException;
use Kettle\Time\Dates;

/** What there is to choose from at the bench. */
final readonly class BenchPage
{
    public function __construct(private Planning $planning, private KitchenFactory $kitchens, private SecondCharge $charge) {}

    /**
     * @param  array<mixed>  $wish
     *
     * @throws WishException
     */
    public function card(array $wish): CardView
    {
        $kitchen = $this->charge->kitchen($wish);
        $plan = $this->planning->plan($wish, $kitchen);

        return CardView::of(KitchenCard::of($this->planning->document($plan, $kitchen)), Dates::say($plan->timetable->fillAt, 'day'));
    }

    public function materials(): Materials
    {
        $cupboard = $this->planning->cupboard();
        $herbs = array_map(
            fn (Herb $h) => new HerbChoice($h->id, $h->name, $h->part, $h->best->value),
            array_values($cupboard->offeredHerbs()),
        );
        usort($herbs, fn (HerbChoice $a, HerbChoice $b) => mb_strtolower($a->name) <=> mb_strtolower($b->name));
        $oils = array_map(
            fn (Carrier $c) => new OilChoice($c->id, $c->name, $c->note),
            array_values($cupboard->offered($cupboard->carriers())),
        );

        $kitchen = $this->kitchens->plain();

        // What is there stands first.
        $here = $this->kitchens->withStock()->stock();
        usort($oils, fn (OilChoice $a, OilChoice $b) => isset($here[$b->id]) <=> isset($here[$a->id]));

        return new Materials(
            $herbs,
            array_map(fn (HerbForm $f) => new Choice($f->id, $f->name), array_values($cupboard->forms())),
            $oils,
            array_map(
                fn (Method $m) => new MethodChoice(
                    $m->id,
                    $m->name,
                    $m->heated,
                    array_map(fn (Variant $s) => new SchoolChoice($s->id, $s->name, AmountWriter::span($s->usualH), $s->why), [
                        ...OwnSchools::of($m, $kitchen),
                        ...$m->variants,
                    ]),
                    $m->wants->vessels,
                ),
                array_values($this->planning->methods()->all()),
            ),
            array_map(fn (Purpose $p) => new Choice($p->id, $p->name), array_values($cupboard->purposes())),
            array_map(fn (Wax $w) => new Choice($w->id, $w->name), array_values($cupboard->offered($cupboard->waxes()))),
            array_map(
                fn (Row $row) => new Choice($row->text('id'), $row->text('name')),
                array_values($this->planning->tables()->table('things')->rows('rows')),
            ),
            array_map(fn (Heed $heed) => self::heed($heed, $cupboard), array_values($cupboard->heeds())),
            array_map(
                fn (Herb $herb) => new Choice($herb->id, $herb->name),
                array_values(array_diff_key($cupboard->herbs(), $cupboard->offeredHerbs())),
            ),
            $kitchen->warmth(ColdStorage::CELSIUS).' or colder',
        );
    }

    private static function heed(Heed $heed, Cupboard $cupboard): HeedChoice
    {
        $herbs = $cupboard->offeredHerbs();

        return new HeedChoice(
            $heed->id,
            $heed->name,
            $heed->detail,
            array_keys(array_filter($herbs, fn (Herb $herb) => $heed->barsHerb($herb, true))),
            array_keys(array_filter($herbs, fn (Herb $herb) => $heed->barsHerb($herb, false) && ! $heed->barsHerb($herb, true))),
            array_keys(array_filter($cupboard->offered($cupboard->carriers()), $heed->barsOil(...))),
        );
    }
}
