<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\Availability;
use Kettle\Diary\Bookings;
use Kettle\Diary\CookerPlace;
use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Infusion\Uptake;
use Kettle\Infusion\UptakeSeen;
use Kettle\Material\Carrier;
use Kettle\Material\Cupboard;
use Kettle\Material\HerbMix;
use Kettle\Material\OilRanking;
use Kettle\Material\Row;
use Kettle\Measure\AmountReader;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Measure\MeasureSystem;
use Kettle\Measure\Money;
use Kettle\Measure\Unit;
use Kettle\Stores\Lot;
use Kettle\Stores\LotKind;
use Kettle\Vessel\Cooker;
use Kettle\Vessel\Jar;
use Kettle\Warmth\Heater;
use Kettle\Warmth\Readings;

/** The house a wish is reckoned in: its clock, waking hours, measures, jars, things and stores. */
final readonly class Kitchen
{
    /** Where a house has not said: a cool room, degrees C. */
    public const ROOM_C = 18.0;

    /**
     * @param  \DateTimeImmutable  $now in the house's time zone
     * @param  list<Jar>  $jars the house's jars
     * @param  bool  $fahrenheit how this cook reads a thermometer
     * @param  float  $roomC the room's warmth, degrees C
     * @param  ?list<string>  $things ids of what the house has to work with; null when it has not said
     * @param  list<Lot>  $lots those of the herbs and oils wished for
     * @param  array<string, array{ml: float, price: ?float}>|\Closure(): array<string, array{ml: float,
     *     price: ?float}>  $stock of every oil: mL and price of 100 mL, by carrier id; asked for only where it matters
     * @param  (\Closure(string, string): UptakeSeen)|null  $seen what its own batches say of the oil left in a form, by a way
     * @param  Bookings|(\Closure(): Bookings)|null  $bookings its cookers and what they are booked for; asked for only where it matters
     * @param  string  $currency ISO 4217, empty when the house has not said
     * @param  list<InfusedOil>  $infused oils of its own that may go on herb once more, those that are wished for
     */
    public function __construct(
        public \DateTimeImmutable $now,
        public Availability $waking,
        public MeasureSystem $custom,
        public float $dropsPerMl,
        public array $jars,
        private Cupboard $cupboard,
        public bool $fahrenheit = false,
        public float $roomC = self::ROOM_C,
        public ?array $things = null,
        public array $lots = [],
        private array|\Closure $stock = [],
        public string $currency = '',
        private ?\Closure $seen = null,
        private Bookings|\Closure|null $bookings = null,
        private array $infused = [],
    ) {}

    /** The same kitchen with oils of its own that may go on herb once more. */
    public function with(InfusedOil ...$infused): self
    {
        return $this->but($this->now, $this->lots, $this->stock, $this->bookings, array_values($infused));
    }

    /** The same kitchen, where oil is taken from an infused one and from nothing else. */
    public function holding(InfusedOil $oil): self
    {
        $others = array_values(array_filter($this->lots, fn (Lot $lot) => $lot->kind !== LotKind::Carrier));

        return $this->but($this->now, [...$others, ...$oil->lots()], $this->stock, $this->bookings, $this->infused);
    }

    /** The same kitchen where work is laid into these whiles. */
    public function during(Availability $waking): self
    {
        return $this->but($this->now, $this->lots, $this->stock, $this->bookings, $this->infused, $waking);
    }

    /**
     * The same kitchen but for its day, and for what is there and booked.
     *
     * @param  list<Lot>  $lots
     * @param  array<string, array{ml: float, price: ?float}>|\Closure(): array<string, array{ml: float, price: ?float}>  $stock
     * @param  Bookings|(\Closure(): Bookings)|null  $bookings
     * @param  list<InfusedOil>  $infused
     */
    private function but(
        \DateTimeImmutable $now,
        array $lots,
        array|\Closure $stock,
        Bookings|\Closure|null $bookings,
        array $infused,
        ?Availability $waking = null,
    ): self {
        return new self(
            $now,
            $waking ?? $this->waking,
            $this->custom,
            $this->dropsPerMl,
            $this->jars,
            $this->cupboard,
            $this->fahrenheit,
            $this->roomC,
            $this->things,
            $lots,
            $stock,
            $this->currency,
            $this->seen,
            $bookings,
            $infused,
        );
    }

    /** One of its own infused oils, by its batch's id. */
    public function infused(string $id): ?InfusedOil
    {
        foreach ($this->infused as $oil) {
            if ($oil->id === $id) {
                return $oil;
            }
        }

        return null;
    }

    /** The same kitchen on an earlier day: what it has now was not taken from then, and nothing was booked that is known. */
    public function asOf(\DateTimeImmutable $day): self
    {
        return $this->but($day, [], [], null, []);
    }

    public function today(): \DateTimeImmutable
    {
        return $this->now->setTime(0, 0);
    }

    public function reader(): AmountReader
    {
        return new AmountReader($this->custom, $this->dropsPerMl, $this->cupboard->measureNamed(...));
    }

    /** Of what was weighed, measured or counted, which is one figure and no range. */
    public function measured(): AmountReader
    {
        return $this->reader()->one();
    }

    public function writer(): AmountWriter
    {
        return new AmountWriter($this->custom);
    }

    /** Makes sentences of what is kept of them. */
    public function words(): Words
    {
        return new Words($this);
    }

    public function methods(): Methods
    {
        return Methods::of($this->cupboard->tables());
    }

    /** A lot of those it was given, by its id. */
    public function lot(string $id): ?Lot
    {
        foreach ($this->lots as $lot) {
            if ($lot->id === $id) {
                return $lot;
            }
        }

        return null;
    }

    public function cupboard(): Cupboard
    {
        return $this->cupboard;
    }

    /** A temperature as this cook reads it: "49 °C" or "120 °F". */
    public function warmth(float $celsius): string
    {
        return $this->fahrenheit
            ? (int) round(Unit::make('°F')->fromBase($celsius)).' °F'
            : AmountWriter::plain($celsius, Kind::Temperature);
    }

    /** The sign or the code of money that is not this house's, in a price that somebody wrote; null where there is none. */
    public function otherMoneyIn(string $typed): ?string
    {
        return Money::otherIn($typed, $this->currency, $this->custom->locale());
    }

    /** Money as it is written where this kitchen is: "£2.27", "$2.27"; only the number where it has no currency. */
    public function money(float $amount): string
    {
        return Money::text($amount, $this->currency, $this->custom->locale());
    }

    /**
     * A warmth as it is typed: a bare number is in this cook's own degrees.
     *
     * @throws \Kettle\Reason\RefusedException
     */
    public function celsius(string $typed): float
    {
        $bare = is_numeric(str_replace(',', '.', trim($typed)));

        return Readings::warmth($bare && $this->fahrenheit ? "{$typed} F" : $typed);
    }

    /** Words with their degrees as this cook reads them: "49 to 60 °C" is "120 to 140 °F". */
    public function inDegrees(string $words): string
    {
        return ! $this->fahrenheit || ! str_contains($words, '°C')
            ? $words
            : (string) preg_replace_callback(
                '/(-?\d+(?:\.\d+)?)(?:(\s*(?:to|–|-)\s*)(-?\d+(?:\.\d+)?))?\s*°C/u',
                function (array $m): string {
                    $f = fn (string $celsius): string => (string) (int) round(Unit::make('°F')->fromBase((float) $celsius));

                    return $f($m[1]).(($m[3] ?? '') === '' ? '' : $m[2].$f($m[3])).' °F';
                },
                $words,
            );
    }

    /** @return list<Jar> bowls and pans that every kitchen has, where the house has listed none of its own */
    private function common(string $kind): array
    {
        return $kind === Jar::JAR
            ? []
            : array_map(
                fn (Row $row) => Jar::measured(
                    $row->text('id'),
                    $row->text('called'),
                    $row->number('brim_ml'),
                    $row->number('inner_height_mm'),
                    $kind,
                ),
                array_values(
                    $this->cupboard
                        ->tables()
                        ->table('vessels')
                        ->rows($kind.'s'),
                ),
            );
    }

    /** One of the house's jars, bowls and pans, by its id; null when there is none. */
    public function jar(string $id): ?Jar
    {
        foreach ([...$this->jars, ...$this->common(Jar::BOWL), ...$this->common(Jar::PAN)] as $jar) {
            if ($jar->id === $id) {
                return $jar;
            }
        }

        return null;
    }

    /**
     * @param  string  $kind of Jar::KINDS
     * @return list<Jar> smallest first
     */
    public function jarsBySize(string $kind = Jar::JAR): array
    {
        $jars = array_values(array_filter($this->jars, fn (Jar $jar) => $jar->kind === $kind)) ?: $this->common($kind);
        usort($jars, fn (Jar $a, Jar $b) => $a->brimMl <=> $b->brimMl);

        return $jars;
    }

    public function bookings(): Bookings
    {
        return $this->bookings instanceof Bookings ? $this->bookings : ($this->bookings === null ? Bookings::none() : ($this->bookings)());
    }

    /** @return list<CookerPlace> such as most kitchens have for a method, where the house has said of none */
    public function commonCookers(Method $method): array
    {
        $places = [];
        foreach ($this->cupboard->tables()->table('vessels')->rows('cookers') as $row) {
            if (in_array($method->id, $row->texts('methods'), true)) {
                $cooker = Cooker::measured(
                    $row->text('id'),
                    'common '.$row->text('called'),
                    $row->text('shape'),
                    $row->number('length_mm'),
                    $row->number('width_mm'),
                    $row->number('height_mm'),
                );
                $settings = array_map(
                    fn (Row $each) => ['name' => $each->text('name'), 'watts' => $each->number('watts')],
                    array_values($row->rows('settings')),
                );
                $places[] = new CookerPlace(
                    $cooker,
                    $row->texts('methods'),
                    $settings === []
                        ? null
                        : new Heater(
                            $cooker,
                            $settings,
                            $row->number('loss_w_per_k'),
                            $row->number('vessel_j_per_k'),
                            $method->has(Method::IN_WATER),
                        ),
                    $this->roomC,
                );
            }
        }

        return $places;
    }

    /** @return array<string, array{ml: float, price: ?float}> of every oil: mL and price of 100 mL, by carrier id */
    public function stock(): array
    {
        return is_array($this->stock) ? $this->stock : ($this->stock)();
    }

    /** The oil herb keeps when it is got out so: the usual, narrowed by this house's own batches of the form. */
    public function uptake(HerbMix $mix, string $way): Uptake
    {
        return $this->uptakeOf($mix->uptakeKey(), $way);
    }

    /** The oil a wish leaves in the herb and in what it is strained through. */
    public function uptakeFor(Wish $wish): Uptake
    {
        $uptake = $this->uptake($wish->mix, $wish->practice->way);

        return match (true) {
            ! $wish->practice->strained => $uptake->unstrained(),
            $wish->practice->strainedTwice => $uptake->strainedAgain($this->cupboard->tables()),
            default => $uptake,
        };
    }

    /** @param  ?string  $form of HerbMix::uptakeKey */
    public function uptakeOf(?string $form, string $way): Uptake
    {
        return Uptake::by($way, $this->cupboard->tables(), $form === null || $this->seen === null ? null : ($this->seen)($form, $way));
    }

    /**
     * @return list<array{carrier: Carrier, score: float, marks: array<string, float>, reasons: list<string>,
     *     stock_ml: float, price: ?float}> oils for a purpose, best first
     */
    public function ranked(string $purpose): array
    {
        return (new OilRanking($this->cupboard))->for($this->cupboard->purpose($purpose), $this->roomC, $this->stock());
    }
}
