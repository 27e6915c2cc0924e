<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\ColdStorage;
use Kettle\Diary\DiaryException;
use Kettle\Infusion\Method;
use Kettle\Infusion\MethodException;
use Kettle\Infusion\Methods;
use Kettle\Infusion\OwnHours;
use Kettle\Infusion\Uptake;
use Kettle\Infusion\Variant;
use Kettle\Material\Cupboard;
use Kettle\Material\HerbMix;
use Kettle\Material\MaterialException;
use Kettle\Material\Own;
use Kettle\Measure\Kind;
use Kettle\Measure\Ratio;
use Kettle\Reason\Faults;
use Kettle\Reason\RefusedException;
use Kettle\Time\Dates;

/**
 * Reads a wish document (docs/formats/wish.schema.json) into a Wish, gathering every fault on the way.
 */
final class WishReader
{
    /** Keys of a wish, but for its herbs and oils. */
    private const PLAIN = [
        'oil_amount',
        'ratio',
        'basis',
        'jar',
        'jars',
        'method',
        'school',
        'hours',
        'warmth',
        'stands',
        'cooled',
        'strained',
        'way',
        'start',
        'begun',
        'ready_by',
        'purpose',
        'spirit',
        'shake',
        'kept',
    ];

    private Faults $faults;

    private readonly HerbsReader $herbs;

    private readonly OilsReader $oils;

    private readonly SizingReader $sizing;

    public function __construct(private readonly Cupboard $cupboard, private readonly Methods $methods, private readonly Kitchen $kitchen)
    {
        $this->herbs = new HerbsReader($cupboard, $kitchen);
        $this->oils = new OilsReader($cupboard, $kitchen);
        $this->sizing = new SizingReader($kitchen);
        $this->faults = new Faults();
    }

    /**
     * @param  array<mixed>  $wish
     * @param  ?Before  $before where the oil is there already
     * @param  ?InfusedOil  $inOil the infused oil it is made in
     * @param  bool  $begun whether the jar stands already
     *
     * @throws WishException with every fault found
     */
    public function read(array $wish, ?Before $before = null, ?InfusedOil $inOil = null, bool $begun = false): Wish
    {
        $faults = $this->faults = new Faults();
        $read = $faults->trying('herbs', fn () => $this->herbs->read($wish, $faults));
        $mix = $read['mix'] ?? null;
        $oils = $faults->trying('oils', fn () => $this->oils->read($wish));
        $blend = $oils['blend'] ?? null;
        $oil = $oils === null ? null : $faults->trying('oil_amount', fn () => $this->sizing->oilAmount($wish, ...$oils));
        $oilLots = $faults->trying('oils', fn () => $this->oils->lots($wish)) ?? [];
        $finished = $faults->trying('finished', fn () => $this->sizing->finished($wish['finished'] ?? null));
        $byJar = $faults->trying('by_jar', fn () => $this->sizing->byJar($wish['by_jar'] ?? null, $oil !== null));
        $ratio = $faults->trying('ratio', fn () => ($typed = Fields::text($wish, 'ratio')) === null ? null : Ratio::read($typed));
        $basis = $faults->trying('basis', fn () => $this->oneOf($wish, 'basis', [Sizing::DRY, Sizing::AS_IT_LIES])) ?? Sizing::DRY;
        $jar = $faults->trying('jar', fn () => $this->sizing->jar($wish['jar'] ?? null));
        $jars = $faults->trying('jars', fn () => $this->sizing->jars($wish));
        $method = $faults->trying('method', fn () => $this->methods->method(Fields::text($wish, 'method') ?? 'cold'));
        $variant =
            $method === null || $mix === null
                ? null
                : $faults->trying('school', function () use ($wish, $method, $mix) {
                    $id = Fields::text($wish, 'school');

                    $school = match (true) {
                        $id === null => $method->variantFor($mix),
                        Own::is($id) => $this->ownSchool($id, $method),
                        default => $method->variant($id),
                    };

                    return $this->ownHours($wish, $method, $school);
                });
        $way = $faults->trying('way', fn () => $this->oneOf($wish, 'way', Uptake::WAYS));
        $start = $faults->trying('start', fn () => $this->day($wish, 'start'));
        $readyBy = $faults->trying('ready_by', fn () => $this->day($wish, 'ready_by'));
        if ($start !== null && $readyBy !== null && $start > $readyBy) {
            $faults->add(
                DiaryException::startAfterReady(Dates::say($start, 'day_of_year'), Dates::say($readyBy, 'day_of_year'))->about('ready_by'),
            );
        }
        $purpose = $faults->trying('purpose', fn () => $this->cupboard->purpose(Fields::text($wish, 'purpose') ?? 'skin')->id) ?? 'skin';
        $heeds = $faults->trying('heed', fn () => $this->cupboard->heedsOf($wish['heed'] ?? [])) ?? [];
        $spirit = $faults->trying('spirit', fn () => $this->oneOf($wish, 'spirit', ['yes', 'no'])) === 'yes';
        $shake = $faults->trying('shake', fn () => $this->oneOf($wish, 'shake', array_keys(Practice::SHAKES)));
        $stands = $faults->trying('stands', fn () => $this->stands($wish));
        $cooled = $faults->trying('cooled', fn () => $this->oneOf($wish, 'cooled', Practice::COOLED));
        $strained = $faults->trying('strained', fn () => $this->oneOf($wish, 'strained', Practice::STRAINED));
        $storage = $faults->trying('kept', fn () => $this->oneOf($wish, 'kept', ColdStorage::ALL)) ?? ColdStorage::SHELF;
        $herb = $read['total'] ?? null;
        $this->sizing->onlyOneWay($herb, $oil, $finished, $byJar, $faults);
        if ($strained === 'never' && $mix !== null) {
            foreach (self::whyStrained($mix, $way) as $why) {
                $faults->add($why->about('strained'));
            }
        }
        if ($faults->all() !== []) {
            throw WishException::faults($faults->all());
        }
        assert($mix !== null && $blend !== null && $method !== null && $variant !== null);

        return new Wish(
            $mix,
            $blend,
            new Sizing($herb, $oil, $finished, $byJar, $ratio, $basis, $jar, $jars),
            $method,
            $variant,
            new WishedDays($start, $readyBy),
            new Practice(
                // Squeezing wet herb drives its water into the oil; the strongest oil is in dry and woody herb.
                $way ?? ($mix->state->isWet() || $strained === 'never' ? 'drained' : 'squeezed'),
                $spirit,
                $shake === null || $method->heated ? null : Practice::SHAKES[$shake],
                $storage,
                $stands,
                $cooled === 'uncovered',
                $strained === 'twice',
                $strained !== 'never',
            ),
            $purpose,
            new Asked(self::tidy($wish), $this->chosen($wish), $oilLots, $before, $heeds, $inOil, $begun),
            $this->kitchen->roomC,
        );
    }

    /**
     * A wish that can be read, kept for the record: only what the document knows, numbers as they were written.
     *
     * @param  array<mixed>  $wish
     * @return array<string, mixed> as docs/formats/wish.schema.json
     */
    public static function tidy(array $wish): array
    {
        $tidied = Fields::only($wish, self::PLAIN);
        $inners = [
            'jar' => ['called', 'brim', 'inner_height', 'marks'],
            'finished' => ['amount', 'count', 'size', 'sure'],
            'by_jar' => ['fill', 'lying', 'cover'],
            'before' => Before::FIELDS,
            'in_oil' => ['batch'],
        ];
        foreach ($inners as $key => $inner) {
            $part = is_array($wish[$key] ?? null) ? Fields::only($wish[$key], $inner) : [];
            if ($part !== []) {
                $tidied[$key] = $part;
            }
        }
        $oils = OilsReader::list($wish);

        return [
            'herbs' => array_map(
                fn (mixed $herb) => Fields::only($herb, ['id', 'name', 'form', 'state', 'amount', 'parts', 'picked', 'water', 'lot']),
                HerbsReader::list($wish),
            ),
            'oils' => array_map(
                fn (mixed $oil) => is_array($oil) ? Fields::only($oil, ['id', 'name', 'amount', 'parts', 'lot']) : $oil,
                $oils,
            ),
            ...$tidied,
            ...is_array($wish['heed'] ?? null) && $wish['heed'] !== [] ? ['heed' => array_values($wish['heed'])] : [],
        ];
    }

    /** @return list<MaterialException> why it cannot be left on its sediment */
    private static function whyStrained(HerbMix $mix, ?string $way): array
    {
        return [
            ...$mix->state->isWet() ? [MaterialException::wetUnstrained()] : [],
            ...$mix->state->isWet() || $mix->isPowder() ? [] : [MaterialException::onlyPowderUnstrained()],
            ...$way === null || $way === 'drained' ? [] : [MaterialException::neitherWrungNorStrained()],
        ];
    }

    /** @return list<mixed> herbs or oils of a wish without the lots they were to be taken from */
    public static function withoutLots(mixed $list): array
    {
        return array_map(
            fn (mixed $each) => is_array($each) ? array_diff_key($each, ['lot' => 1]) : $each,
            is_array($list) ? array_values($list) : [],
        );
    }

    /** @throws MethodException when the house has no such school, or has it for another method */
    private function ownSchool(string $id, Method $method): Variant
    {
        $own = $this->cupboard->schoolOrNull($id) ?? throw MethodException::unknownVariant($method->name, $id);
        if ($own->method !== $method->id) {
            throw MethodException::schoolOfAnother($own->name, $method->name);
        }

        return RefusedException::at('school', fn () => OwnSchools::variant($own, $this->kitchen));
    }

    /**
     * The school as it is, or hours and warmth of the cook's own in place of its own.
     *
     * @param  array<mixed>  $wish
     */
    private function ownHours(array $wish, Method $method, Variant $school): Variant
    {
        $typed = Fields::text($wish, 'hours');
        if ($typed !== null && ! $method->heated && preg_match('/\pL/u', $typed) !== 1) {
            // On the shelf a bare number may be days or weeks.
            throw MethodException::hoursBare($typed);
        }
        $hours = $typed === null ? null : $this->faults->trying('hours', fn () => $this->kitchen->reader()->read($typed, Kind::Time, 'h'));
        $warmth = Fields::text($wish, 'warmth');
        $bare = $this->kitchen->fahrenheit ? '°F' : '°C';
        $target =
            $warmth === null
                ? null
                : $this->faults->trying('warmth', fn () => $this->kitchen->reader()->read($warmth, Kind::Temperature, $bare)->value);

        return OwnHours::of($method, $school, $hours, $target);
    }

    /** @param  array<mixed>  $wish */
    private function stands(array $wish): ?float
    {
        $typed = Fields::text($wish, 'stands');

        return $typed === null ? null : $this->kitchen->reader()->within($typed, Kind::Time, 'h', 0.25, OwnHours::MOST_STANDS_H)->value;
    }

    /**
     * @param  array<mixed>  $wish
     * @param  list<string>  $allowed
     */
    private function oneOf(array $wish, string $key, array $allowed): ?string
    {
        $typed = Fields::text($wish, $key);

        return $typed === null || in_array($typed, $allowed, true)
            ? $typed
            : throw new MaterialException('unknown', sprintf('“%s” is none of %s.', mb_substr($typed, 0, 40), implode(', ', $allowed)));
    }

    /** @param  array<mixed>  $wish */
    private function day(array $wish, string $key): ?\DateTimeImmutable
    {
        return WishedDays::day($wish, $key, $this->kitchen->today());
    }

    /**
     * @param  array<mixed>  $wish
     * @return list<string>
     */
    private function chosen(array $wish): array
    {
        $chosen = [];
        foreach ([...self::PLAIN, 'oils', 'finished', 'by_jar'] as $key) {
            if (! in_array($wish[$key] ?? null, [null, '', []], true)) {
                $chosen[] = $key;
            }
        }
        foreach (HerbsReader::list($wish) as $herb) {
            foreach (['id' => 'herb', 'name' => 'herb', 'form' => 'form', 'state' => 'form', 'amount' => 'herb_amount'] as $key => $slot) {
                if (is_array($herb) && ! in_array($herb[$key] ?? null, [null, ''], true)) {
                    $chosen[] = $slot;
                }
            }
        }

        return array_values(array_unique($chosen));
    }
}
