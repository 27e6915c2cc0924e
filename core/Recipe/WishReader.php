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
use Kettle\Material\Blend;
use Kettle\Material\Carrier;
use Kettle\Material\Cupboard;
use Kettle\Material\MaterialException;
use Kettle\Measure\Kind;
use Kettle\Measure\Ratio;
use Kettle\Reason\Faults;
use Kettle\Stores\LotException;
use Kettle\Stores\LotKind;
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

    private readonly SizingReader $sizing;

    public function __construct(private readonly Cupboard $cupboard, private readonly Methods $methods, private readonly Kitchen $kitchen)
    {
        $this->herbs = new HerbsReader($cupboard, $kitchen);
        $this->sizing = new SizingReader($kitchen);
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
        $oil = $blend === null ? null : $faults->trying('oil_amount', fn () => $this->sizing->oilAmount($wish, $blend));
        $oilLots = $faults->trying('oils', fn () => $this->oilLots($wish)) ?? [];
        $finished = $faults->trying('finished', fn () => $this->sizing->finished($wish['finished'] ?? null));
        $byJar = $faults->trying('by_jar', fn () => $this->sizing->byJar($wish['by_jar'] ?? null));
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
        $heeds = $faults->trying('heed', fn () => $this->cupboard->heedsOf($wish['heed'] ?? [])) ?? [];
        $spirit = $faults->trying('spirit', fn () => $this->oneOf($wish, 'spirit', ['yes', 'no'])) === 'yes';
        $shake = $faults->trying('shake', fn () => $this->oneOf($wish, 'shake', array_keys(Practice::SHAKES)));
        $stands = $faults->trying('stands', fn () => $this->stands($wish));
        $cooled = $faults->trying('cooled', fn () => $this->oneOf($wish, 'cooled', Practice::COOLED));
        $strained = $faults->trying('strained', fn () => $this->oneOf($wish, 'strained', Practice::STRAINED));
        $storage = $faults->trying('kept', fn () => $this->oneOf($wish, 'kept', ColdStorage::ALL)) ?? ColdStorage::SHELF;
        $herb = $read['total'] ?? null;
        $this->sizing->onlyOneWay($herb, $oil, $finished, $byJar, $faults);
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
