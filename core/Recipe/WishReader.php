<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\DiaryRefused;
use Kettle\Infusion\Methods;
use Kettle\Material\Blend;
use Kettle\Material\Cupboard;
use Kettle\Material\Herb;
use Kettle\Material\HerbForm;
use Kettle\Material\MaterialRefused;
use Kettle\Measure\Amount;
use Kettle\Measure\Kind;
use Kettle\Measure\Ratio;
use Kettle\Reason\Refused;
use Kettle\Vessel\Jar;
use Kettle\Vessel\JarRefused;

/**
 * Reads a wish document (docs/formats/wish.schema.json) into a Wish, gathering every fault on the way.
 */
final class WishReader
{
    /** Kitchen bounds, g and mL: more than this is a works, less cannot be weighed. */
    private const HERB_BOUNDS = [0.1, 10_000.0];

    private const OIL_BOUNDS = [1.0, 20_000.0];

    public const PURPOSES = ['salve', 'skin', 'face', 'hair', 'massage', 'kitchen', 'perfume'];

    /** @var list<array{field: string, reason: string, sentence: string}> */
    private array $faults = [];

    public function __construct(
        private readonly Cupboard $cupboard,
        private readonly Methods $methods,
        private readonly Kitchen $kitchen,
    ) {
    }

    /**
     * @param  array<mixed>  $wish
     *
     * @throws WishRefused with every fault found
     */
    public function read(array $wish): Wish
    {
        $this->faults = [];
        $herb = is_array($wish['herb'] ?? null) ? $wish['herb'] : [];
        $plant = $this->trying('herb', fn () => $this->plant($herb));
        $form = $plant === null ? null : $this->trying('herb.form', fn () => $this->form($herb, $plant));
        $blend = $this->trying('oils', fn () => $this->blend($wish['oils'] ?? null));
        $herbAmount = $form === null ? null : $this->trying('herb.amount', fn () => $this->herbAmount($herb, $form));
        $oil = $blend === null ? null : $this->trying('oil_amount', fn () => $this->oilAmount($wish, $blend));
        $ratio = $this->trying('ratio', fn () => $this->text($wish, 'ratio') === null ? null : Ratio::read((string) $this->text($wish, 'ratio')));
        $jar = $this->trying('jar', fn () => $this->jar($wish['jar'] ?? null));
        $method = $this->trying('method', fn () => $this->methods->method($this->text($wish, 'method') ?? 'cold'));
        $school = $method === null || $form === null ? null : $this->trying('school', function () use ($wish, $method, $form) {
            $id = $this->text($wish, 'school');

            return $id === null ? $method->schoolFor($form) : $method->school($id);
        });
        $start = $this->trying('start', fn () => $this->day($wish, 'start'));
        $readyBy = $this->trying('ready_by', fn () => $this->day($wish, 'ready_by'));
        if ($start !== null && $readyBy !== null && $start > $readyBy) {
            $this->fault(DiaryRefused::startAfterReady($start->format('j F'), $readyBy->format('j F'))->about('ready_by'));
        }
        $purpose = $this->trying('purpose', fn () => $this->purpose($wish)) ?? 'skin';
        if ($this->faults !== []) {
            throw WishRefused::faults($this->faults);
        }
        assert($plant !== null && $form !== null && $blend !== null && $method !== null && $school !== null);

        return new Wish(
            $plant, $form, $blend, $herbAmount, $oil, $ratio, $jar, $method, $school, $start, $readyBy, $purpose, 'squeezed', $this->chosen($wish, $herb),
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
        $kept = self::only($wish, ['oil_amount', 'ratio', 'jar', 'method', 'school', 'start', 'ready_by', 'purpose']);
        if (is_array($kept['jar'] ?? null)) {
            $kept['jar'] = self::only($kept['jar'], ['called', 'brim', 'inner_height']);
        }
        $oils = is_array($wish['oils'] ?? null) ? array_values($wish['oils']) : [];

        return [
            'herb' => self::only($wish['herb'] ?? null, ['id', 'name', 'form', 'state', 'amount']),
            'oils' => array_map(fn (mixed $oil) => is_array($oil) ? self::only($oil, ['id', 'parts']) : $oil, $oils),
            ...$kept,
        ];
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, mixed> those that are there and not blank
     */
    private static function only(mixed $from, array $keys): array
    {
        $kept = [];
        foreach ($keys as $key) {
            $value = is_array($from) ? $from[$key] ?? null : null;
            if ($value !== null && $value !== '') {
                $kept[$key] = is_int($value) || is_float($value) ? (string) $value : $value;
            }
        }

        return $kept;
    }

    /**
     * @template T
     *
     * @param  \Closure(): T  $read
     * @return T|null
     */
    private function trying(string $field, \Closure $read): mixed
    {
        try {
            return $read();
        } catch (Refused $refused) {
            $this->fault($refused->field === '' ? $refused->about($field) : $refused);

            return null;
        }
    }

    private function fault(Refused $refused): void
    {
        $this->faults[] = $refused->toArray();
    }

    /** @param  array<mixed>  $from */
    private function text(array $from, string $key): ?string
    {
        $value = $from[$key] ?? null;
        if (is_int($value) || is_float($value)) {
            return (string) $value;
        }
        if ($value !== null && ! is_string($value)) {
            throw new MaterialRefused('unreadable', sprintf('“%s” must be written as text.', $key));
        }

        return $value === null || trim($value) === '' ? null : trim($value);
    }

    /** @param  array<mixed>  $herb */
    private function plant(array $herb): Herb
    {
        $id = $this->text($herb, 'id');
        if ($id !== null) {
            return $this->cupboard->herb($id);
        }
        $name = $this->text($herb, 'name');
        if ($name === null) {
            throw new MaterialRefused('missing', 'Name the herb: choose one from the list, or write its name and how it is cut.');
        }
        if (mb_strlen($name) > 60) {
            throw new MaterialRefused('too_long', 'A herb’s name takes at most 60 letters.');
        }

        return Herb::unlisted($name, $this->text($herb, 'form') ?? 'thin-leaf');
    }

    /** @param  array<mixed>  $herb */
    private function form(array $herb, Herb $plant): HerbForm
    {
        $state = $this->text($herb, 'state') ?? 'dried';
        if ($state !== 'dried') {
            throw new MaterialRefused('out_of_range', 'Only dried herb is planned here. Dry it first until it snaps: water left in the plant spoils the oil.', 'herb.state');
        }

        return $this->cupboard->form($this->text($herb, 'form') ?? $plant->form);
    }

    private function blend(mixed $oils): Blend
    {
        if (! is_array($oils) || $oils === []) {
            throw MaterialRefused::noOil();
        }
        if (count($oils) > 2) {
            throw new MaterialRefused('out_of_range', 'One or two oils are planned together here. Leave out the others.');
        }
        $parts = [];
        foreach (array_values($oils) as $oil) {
            $oil = is_array($oil) ? $oil : ['id' => $oil];
            $typed = $this->text($oil, 'parts') ?? '1';
            $parts[] = [
                'carrier' => $this->cupboard->carrier($this->text($oil, 'id') ?? ''),
                'parts' => $this->kitchen->reader()->number($typed),
            ];
        }

        return Blend::of($parts);
    }

    /** @param  array<mixed>  $herb */
    private function herbAmount(array $herb, HerbForm $form): ?Amount
    {
        $typed = $this->text($herb, 'amount');

        return $typed === null ? null : $this->kitchen->reader()->within($typed, Kind::Mass, 'g', ...[...self::HERB_BOUNDS, $form->loose]);
    }

    /** @param  array<mixed>  $wish */
    private function oilAmount(array $wish, Blend $blend): ?Amount
    {
        $typed = $this->text($wish, 'oil_amount');

        return $typed === null ? null
            : $this->kitchen->reader()->within($typed, Kind::Volume, 'mL', ...[...self::OIL_BOUNDS, $blend->density(Planner::ROOM_C)]);
    }

    private function jar(mixed $jar): ?Jar
    {
        if ($jar === null || $jar === '') {
            return null;
        }
        if (is_array($jar)) {
            $brim = $this->text($jar, 'brim') ?? throw new JarRefused('missing', 'Give how much the jar holds to the brim.', 'jar.brim');
            $height = $this->text($jar, 'inner_height') ?? throw new JarRefused('missing', 'Give how high the jar is inside.', 'jar.inner_height');

            return Jar::measured(
                '', $this->text($jar, 'called') ?? 'jar',
                $this->kitchen->reader()->read($brim, Kind::Volume, 'mL')->value,
                $this->kitchen->reader()->read($height, Kind::Length, 'mm')->value,
            );
        }
        foreach ($this->kitchen->jars as $known) {
            if ($known->id === $jar) {
                return $known;
            }
        }
        throw JarRefused::unknown();
    }

    /** @param  array<mixed>  $wish */
    private function day(array $wish, string $key): ?\DateTimeImmutable
    {
        $typed = $this->text($wish, $key);
        if ($typed === null) {
            return null;
        }
        $today = $this->kitchen->today();
        $day = \DateTimeImmutable::createFromFormat('!Y-m-d', $typed, $today->getTimezone());
        if ($day === false || $day->format('Y-m-d') !== $typed) {
            throw DiaryRefused::day($typed);
        }
        if ($day < $today) {
            throw DiaryRefused::past($day->format('j F Y'), $today->format('j F Y'));
        }
        if ($day > $today->modify('+2 years')) {
            throw DiaryRefused::tooFar($day->format('j F Y'));
        }

        return $day;
    }

    /** @param  array<mixed>  $wish */
    private function purpose(array $wish): string
    {
        $purpose = $this->text($wish, 'purpose') ?? 'skin';

        return in_array($purpose, self::PURPOSES, true) ? $purpose : throw MaterialRefused::unknown('purpose', $purpose);
    }

    /**
     * @param  array<mixed>  $wish
     * @param  array<mixed>  $herb
     * @return list<string>
     */
    private function chosen(array $wish, array $herb): array
    {
        $chosen = [];
        foreach (['oils', 'oil_amount', 'ratio', 'jar', 'method', 'school', 'start', 'ready_by', 'purpose'] as $key) {
            if (! in_array($wish[$key] ?? null, [null, '', []], true)) {
                $chosen[] = $key;
            }
        }
        foreach (['id' => 'herb', 'name' => 'herb', 'form' => 'form', 'amount' => 'herb_amount'] as $key => $slot) {
            if (! in_array($herb[$key] ?? null, [null, ''], true)) {
                $chosen[] = $slot;
            }
        }

        return $chosen;
    }
}
