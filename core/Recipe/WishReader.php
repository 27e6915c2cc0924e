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
use Kettle\Infusion\YieldException;
use Kettle\Material\Blend;
use Kettle\Material\Carrier;
use Kettle\Material\Cupboard;
use Kettle\Material\Heed;
use Kettle\Material\MaterialException;
use Kettle\Measure\Amount;
use Kettle\Measure\Kind;
use Kettle\Measure\Ratio;
use Kettle\Reason\Faults;
use Kettle\Reason\RefusedException;
use Kettle\Stores\LotException;
use Kettle\Stores\LotKind;
use Kettle\Time\Dates;
use Kettle\Vessel\Jar;
use Kettle\Vessel\JarException;

/**
 * Reads a wish document (docs/formats/wish.schema.json) into a Wish, gathering every fault on the way.
 */
final class WishReader
{
    /** Kitchen bounds, mL: more than this is a works, less cannot be measured. */
    private const OIL_BOUNDS = [1.0, 20_000.0];

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

    public function __construct(private readonly Cupboard $cupboard, private readonly Methods $methods, private readonly Kitchen $kitchen)
    {
        $this->herbs = new HerbsReader($cupboard, $kitchen);
        $this->faults = new Faults();
    }

    /**
     * @param  array<mixed>  $wish
     * @param  ?Before  $before where the oil is there already
     *
     * @throws WishException with every fault found
     */
    public function read(array $wish, ?Before $before = null): Wish
    {
        $faults = $this->faults = new Faults();
        $read = $faults->trying('herbs', fn () => $this->herbs->read($wish, $faults));
        $mix = $read['mix'] ?? null;
        $blend = $faults->trying('oils', fn () => $this->blend($wish['oils'] ?? null));
        $oil = $blend === null ? null : $faults->trying('oil_amount', fn () => $this->oilAmount($wish, $blend));
        $oilLots = $faults->trying('oils', fn () => $this->oilLots($wish)) ?? [];
        $finished = $faults->trying('finished', fn () => $this->finished($wish['finished'] ?? null));
        $byJar = $faults->trying('by_jar', fn () => $this->byJar($wish['by_jar'] ?? null));
        $ratio = $faults->trying('ratio', fn () => ($typed = Fields::text($wish, 'ratio')) === null ? null : Ratio::read($typed));
        $basis = $faults->trying('basis', fn () => $this->oneOf($wish, 'basis', [Sizing::DRY, Sizing::AS_IT_LIES])) ?? Sizing::DRY;
        $jar = $faults->trying('jar', fn () => $this->jar($wish['jar'] ?? null));
        $jars = $faults->trying('jars', fn () => $this->jars($wish));
        $method = $faults->trying('method', fn () => $this->methods->method(Fields::text($wish, 'method') ?? 'cold'));
        $variant =
            $method === null || $mix === null
                ? null
                : $faults->trying('school', function () use ($wish, $method, $mix) {
                    $id = Fields::text($wish, 'school');

                    $school = $id === null ? $method->variantFor($mix) : $method->variant($id);

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
        $heeds = $faults->trying('heed', fn () => $this->heeds($wish['heed'] ?? [])) ?? [];
        $spirit = $faults->trying('spirit', fn () => $this->oneOf($wish, 'spirit', ['yes', 'no'])) === 'yes';
        $shake = $faults->trying('shake', fn () => $this->oneOf($wish, 'shake', array_keys(Practice::SHAKES)));
        $stands = $faults->trying('stands', fn () => $this->stands($wish));
        $cooled = $faults->trying('cooled', fn () => $this->oneOf($wish, 'cooled', Practice::COOLED));
        $strained = $faults->trying('strained', fn () => $this->oneOf($wish, 'strained', Practice::STRAINED));
        $storage = $faults->trying('kept', fn () => $this->oneOf($wish, 'kept', ColdStorage::ALL)) ?? ColdStorage::SHELF;
        $herb = $read['total'] ?? null;
        $this->onlyOneWay($herb, $oil, $finished, $byJar);
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
                $way ?? ($mix->state->isWet() ? 'drained' : 'squeezed'),
                $spirit,
                $shake === null || $method->heated ? null : Practice::SHAKES[$shake],
                $storage,
                $stands,
                $cooled === 'uncovered',
                $strained === 'twice',
            ),
            $purpose,
            new Asked(self::tidy($wish), $this->chosen($wish), $oilLots, $before, $heeds),
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
            'jar' => ['called', 'brim', 'inner_height'],
            'finished' => ['amount', 'count', 'size', 'sure'],
            'by_jar' => ['fill', 'cover'],
            'before' => Before::FIELDS,
        ];
        foreach ($inners as $key => $inner) {
            $part = is_array($wish[$key] ?? null) ? Fields::only($wish[$key], $inner) : [];
            if ($part !== []) {
                $tidied[$key] = $part;
            }
        }
        $oils = is_array($wish['oils'] ?? null) ? array_values($wish['oils']) : [];

        return [
            'herbs' => array_map(
                fn (mixed $herb) => Fields::only($herb, ['id', 'name', 'form', 'state', 'amount', 'parts', 'picked', 'water', 'lot']),
                HerbsReader::list($wish),
            ),
            'oils' => array_map(fn (mixed $oil) => is_array($oil) ? Fields::only($oil, ['id', 'name', 'parts', 'lot']) : $oil, $oils),
            ...$tidied,
            ...is_array($wish['heed'] ?? null) && $wish['heed'] !== [] ? ['heed' => array_values($wish['heed'])] : [],
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

    /** How much can be said from one side only, but for herb and oil together, which give the ratio. */
    private function onlyOneWay(?Amount $herb, ?Amount $oil, ?Finished $finished, ?ByJar $byJar): void
    {
        if ($byJar !== null && ($herb !== null || $oil !== null || $finished !== null)) {
            $this->faults->add(
                new YieldException(
                    'disagree',
                    'By the jar, the jar says how much herb and oil there is. Leave the other amounts out, or weigh instead.',
                    'by_jar',
                ),
            );
        } elseif ($finished !== null && ($herb !== null || $oil !== null)) {
            $this->faults->add(
                new YieldException(
                    'disagree',
                    'The finished amount says how much herb and oil go in. Leave those out, or leave the finished amount out.',
                    'finished',
                ),
            );
        }
    }

    private function blend(mixed $oils): Blend
    {
        if (! is_array($oils) || $oils === []) {
            throw MaterialException::noOil();
        }
        $parts = [];
        foreach (array_values($oils) as $i => $oil) {
            $oil = is_array($oil) ? $oil : ['id' => $oil];
            $typed = Fields::text($oil, 'parts') ?? '1';
            $parts[] = [
                'carrier' => $this->carrier($oil, $i),
                'parts' => $this->kitchen->reader()->number($typed),
            ];
        }

        return Blend::of($parts);
    }

    /**
     * An oil by its id, or by a name that the tables know; never one for another.
     *
     * @param  array<mixed>  $oil
     */
    private function carrier(array $oil, int $i): Carrier
    {
        $id = Fields::text($oil, 'id');
        if ($id !== null) {
            return $this->cupboard->carrier($id);
        }
        $name = Fields::text($oil, 'name') ?? throw MaterialException::noOil();

        return $this->cupboard->carrierNamed($name) ?? throw MaterialException::oilUnknown($name)->about("oils.{$i}");
    }

    /**
     * @param  array<mixed>  $wish
     * @return array<string, string> lot by carrier
     *
     * @throws LotException where one is not there, or is of another oil
     */
    private function oilLots(array $wish): array
    {
        $lots = [];
        foreach (is_array($wish['oils'] ?? null) ? array_values($wish['oils']) : [] as $i => $oil) {
            $id = is_array($oil) ? Fields::text($oil, 'lot') : null;
            if ($id === null) {
                continue;
            }
            $carrier = $this->carrier($oil, $i);
            $lot = $this->kitchen->lot($id) ?? throw LotException::noSuch($id)->about("oils.{$i}.lot");
            if ($lot->kind !== LotKind::Carrier || $lot->material !== $carrier->id) {
                throw LotException::ofAnother($lot->called, $carrier->name)->about("oils.{$i}.lot");
            }
            $lots[$carrier->id] = $id;
        }

        return $lots;
    }

    /** @param  array<mixed>  $wish */
    private function oilAmount(array $wish, Blend $blend): ?Amount
    {
        $typed = Fields::text($wish, 'oil_amount');

        return $typed === null
            ? null
            : $this->kitchen->reader()->within($typed, Kind::Volume, 'mL', ...[...self::OIL_BOUNDS, $blend->density(Planner::ROOM_C)]);
    }

    /**
     * @return list<Heed> each once, in the order of the table
     *
     * @throws MaterialException when one is none
     */
    private function heeds(mixed $typed): array
    {
        return $this->cupboard->heedsOf(is_array($typed) ? $typed : [$typed]);
    }

    private function finished(mixed $finished): ?Finished
    {
        if (! is_array($finished)) {
            return $finished === null || $finished === ''
                ? null
                : throw new YieldException('unreadable', 'Say how much is to come out, such as 300 mL, or how many bottles of which size.');
        }
        $surely = (Fields::text($finished, 'sure') ?? 'nine-in-ten') !== 'evens';
        $reader = $this->kitchen->reader();
        $count = Fields::text($finished, 'count');
        if ($count !== null) {
            if (preg_match('/^\d{1,3}$/', $count) !== 1 || (int) $count < 1 || (int) $count > 500) {
                throw new YieldException('out_of_range', 'Say how many bottles or tins: a whole number from 1 to 500.', 'finished.count');
            }
            $typed =
                Fields::text($finished, 'size') ??
                throw new YieldException('missing', 'Say how much each bottle or tin holds, such as 50 mL.', 'finished.size');
            try {
                $size = $reader->within($typed, Kind::Volume, 'mL', 1, 5_000);
            } catch (RefusedException $refused) {
                throw $refused->about('finished.size');
            }

            return new Finished(
                (int) $count * $size->value,
                sprintf(
                    '%s %s of %s',
                    Numbers::word((int) $count),
                    (int) $count === 1 ? 'bottle' : 'bottles',
                    Numbers::withUnit($size->typed, 'mL'),
                ),
                $surely,
                (int) $count,
            );
        }
        $typed = Fields::text($finished, 'amount');
        if ($typed === null) {
            return null;
        }

        return new Finished(
            $reader->within($typed, Kind::Volume, 'mL', ...self::OIL_BOUNDS)->value,
            Numbers::withUnit($typed, 'mL'),
            $surely,
        );
    }

    private function byJar(mixed $byJar): ?ByJar
    {
        if (! is_array($byJar)) {
            return $byJar === null || $byJar === ''
                ? null
                : throw new JarException('unreadable', 'Say how full the jar is: a quarter, half, three quarters or full.');
        }
        $fill = Fields::text($byJar, 'fill');
        if ($fill === null) {
            return null;
        }
        if (! isset(ByJar::FILLS[$fill])) {
            throw new JarException('unknown', 'A jar is a quarter, half, three quarters or full.', 'by_jar.fill');
        }
        $cover = Fields::text($byJar, 'cover');

        return new ByJar(
            $fill,
            $cover === null ? Amounts::COVER_MM : $this->kitchen->reader()->within($cover, Kind::Length, 'mm', 3, 200)->value,
        );
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

    private function jar(mixed $jar): ?Jar
    {
        if ($jar === null || $jar === '') {
            return null;
        }
        if (is_array($jar)) {
            $brim = Fields::text($jar, 'brim') ?? throw new JarException('missing', 'Give how much the jar holds to the brim.', 'jar.brim');
            $height =
                Fields::text($jar, 'inner_height') ??
                throw new JarException('missing', 'Give how high the jar is inside.', 'jar.inner_height');

            return Jar::measured(
                '',
                Fields::text($jar, 'called') ?? 'jar',
                $this->kitchen->reader()->read($brim, Kind::Volume, 'mL')->value,
                $this->kitchen->reader()->read($height, Kind::Length, 'mm')->value,
            );
        }

        return $this->kitchen->jar(is_string($jar) ? $jar : '') ?? throw JarException::unknown();
    }

    /** @param  array<mixed>  $wish */
    private function jars(array $wish): ?int
    {
        $typed = Fields::text($wish, 'jars');
        if ($typed === null) {
            return null;
        }
        if (preg_match('/^\d{1,2}$/', $typed) !== 1 || (int) $typed < 1 || (int) $typed > Sizing::MOST_JARS) {
            throw new JarException('out_of_range', sprintf('Say how many jars: a whole number from 1 to %d.', Sizing::MOST_JARS));
        }

        return (int) $typed;
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
