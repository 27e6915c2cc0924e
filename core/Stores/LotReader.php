<?php

declare(strict_types=1);

namespace Kettle\Stores;

use Kettle\Material\Allergens;
use Kettle\Material\Cupboard;
use Kettle\Material\MaterialException;
use Kettle\Material\State;
use Kettle\Measure\AmountReader;
use Kettle\Measure\Density;
use Kettle\Measure\Kind;
use Kettle\Measure\Money;
use Kettle\Reason\Faults;
use Kettle\Reason\UnknownField;
use Kettle\Time\Day;

/**
 * Reads a lot as people write it, from a form or a line of CSV, gathering every fault: field name to text.
 */
final class LotReader
{
    /** Fields a lot is written in, in the order of the CSV's columns. */
    public const FIELDS = [
        'kind',
        'material',
        'called',
        'part',
        'form',
        'state',
        'amount',
        'low_at',
        'price',
        'got_how',
        'got_where',
        'got_on',
        'opened_on',
        'best_before',
        'food_grade',
        'allergens',
        'note',
    ];

    public readonly LotNames $names;

    /**
     * @param  array<string, string>  $sizes names of the house's jars and bottles by id
     * @param  (\Closure(string): ?string)|null  $otherMoney the sign of money in a price that is not the house's
     */
    public function __construct(
        private readonly Cupboard $cupboard,
        private readonly AmountReader $amounts,
        private readonly \DateTimeImmutable $today,
        array $sizes = [],
        private readonly ?\Closure $otherMoney = null,
    ) {
        $this->names = new LotNames($cupboard, $sizes);
    }

    /**
     * @param  array<mixed>  $fields
     * @return array{lot: Lot, part: string, how: string, where: string, note: string, typed: string}
     *
     * @throws LotsException with every fault found
     */
    public function read(array $fields, string $id = ''): array
    {
        $faults = new Faults();
        foreach (array_diff(array_map(strval(...), array_keys($fields)), self::FIELDS) as $unknown) {
            $faults->add(new LotException('unknown_field', UnknownField::sentence($unknown, self::FIELDS), mb_substr($unknown, 0, 40)));
        }
        /** @var array<string, string> $text */
        $text = array_combine(self::FIELDS, array_map(fn (string $field) => $this->text($fields, $field), self::FIELDS));
        $kind = LotKind::called($text['kind']);
        if ($kind === null) {
            throw LotsException::of([LotException::kind()->toArray(), ...$faults->all()]);
        }
        [$material, $called, $allergens, $density, $form] = $faults->trying('material', fn () => $this->material($kind, $text)) ?? [
            '',
            '',
            [],
            null,
            null,
        ];
        $state = $kind === LotKind::Herb ? $faults->trying('state', fn () => $this->state($text['state'], $form)) : null;
        $amount = $faults->trying('amount', fn () => $this->amount($kind, $text['amount'], $density, $form)) ?? 0.0;
        $low = $text['low_at'] === '' ? null : $faults->trying('low_at', fn () => $this->amount($kind, $text['low_at'], $density, $form));
        $price = $text['price'] === '' ? null : $faults->trying('price', fn () => $this->price($text['price']));
        $gotOn = $faults->trying('got_on', fn () => $this->day($text['got_on'], 'got_on', true));
        $openedOn = $faults->trying('opened_on', fn () => $this->day($text['opened_on'], 'opened_on', true));
        $bestBefore = $faults->trying('best_before', fn () => $this->day($text['best_before'], 'best_before', false));
        if ($gotOn !== null && $openedOn !== null && $openedOn < $gotOn) {
            $faults->add(LotException::openedBefore());
        }
        if ($gotOn !== null && $bestBefore !== null && $bestBefore < $gotOn) {
            $faults->add(LotException::pastWhenGot());
        }
        $food = $faults->trying('food_grade', fn () => $this->yesOrNo($text['food_grade'], 'food_grade')) ?? false;
        $own = $faults->trying('allergens', fn () => $this->allergens($text['allergens'])) ?? [];
        $how = $faults->trying('got_how', fn () => $this->how($text['got_how'])) ?? '';
        foreach (['got_where' => 160, 'note' => 1000, 'allergens' => 160, 'part' => 40] as $field => $most) {
            if (mb_strlen($text[$field]) > $most) {
                $faults->add(LotException::tooLong($field, $most));
            }
        }
        if ($faults->all() !== []) {
            throw LotsException::of($faults->all());
        }

        return [
            'lot' => new Lot(
                $id,
                $kind,
                $material,
                $called,
                // Told as low at a seventh of what was got, unless the house says otherwise.
                new Stock($amount, $amount, $low ?? round($amount / 7, 1), $price),
                new LotDates($gotOn, $openedOn, $bestBefore),
                new Origin($how, $food, array_values(array_unique([...$allergens, ...$own]))),
                $state,
                $form?->id,
            ),
            'part' => $text['part'],
            'how' => $how,
            'where' => $text['got_where'],
            'note' => $text['note'],
            'typed' => $text['amount'],
        ];
    }

    /** @param  array<mixed>  $fields */
    private function text(array $fields, string $field): string
    {
        $value = $fields[$field] ?? '';
        if (is_array($value) && $field === 'allergens') {
            $value = implode(';', array_filter($value, 'is_string'));
        }
        if (is_bool($value)) {
            return $value ? 'yes' : 'no';
        }

        return is_string($value) || is_int($value) || is_float($value) ? trim((string) $value) : '';
    }

    /**
     * @param  array<string, string>  $text
     * @return array{string, string, list<string>, ?Density, ?\Kettle\Material\HerbForm}
     */
    private function material(LotKind $kind, array $text): array
    {
        $typed = $text['material'];
        if ($kind === LotKind::Tin) {
            return $this->tin($typed, $text['called']);
        }
        $own = $text['called'] !== '' ? $text['called'] : $typed;
        if ($own === '') {
            throw LotException::nameless();
        }
        if (mb_strlen($own) > 80) {
            throw LotException::tooLong('called', 80);
        }
        $known = $this->names->named($kind, $typed === '' ? $own : $typed);
        if ($known === null) {
            // An oil without a density, or a vessel without a size, cannot be reckoned with.
            if (in_array($kind, [LotKind::Carrier, LotKind::Scent, LotKind::Jar, LotKind::Bottle], true)) {
                throw $kind === LotKind::Carrier || $kind === LotKind::Scent
                    ? MaterialException::enterIt($own)
                    : MaterialException::unknown($kind->word(), $typed);
            }
            $form =
                $kind === LotKind::Herb ? $this->cupboard->form($text['form'] === '' ? 'thin-leaf' : $this->formId($text['form'])) : null;

            return ['', $own, [], null, $form];
        }
        [$id, $name] = $known;
        $called = $text['called'] !== '' ? $text['called'] : $name;

        return match ($kind) {
            LotKind::Herb => [
                $id,
                $called,
                [],
                null,
                $this->cupboard->form($text['form'] === '' ? $this->cupboard->herb($id)->form : $this->formId($text['form'])),
            ],
            LotKind::Carrier => [$id, $called, $this->cupboard->carrier($id)->food->allergens, $this->cupboard->carrier($id)->at20, null],
            LotKind::Wax => [
                $id,
                $called,
                $this->cupboard->wax($id)->allergens,
                Density::gramsPerMl($this->cupboard->wax($id)->gramsPerMl),
                null,
            ],
            LotKind::Scent => [$id, $called, [], $this->cupboard->essentialOil($id)->density, null],
            LotKind::Addition => [
                $id,
                $called,
                ($this->cupboard->additions()[$id] ?? null)->allergens ?? [],
                ($this->cupboard->additions()[$id] ?? $this->cupboard->scentOrNull($id))?->density,
                null,
            ],
            default => [$id, $called, [], null, null],
        };
    }

    /**
     * By what they hold to the brim: "30 mL", or 30.
     *
     * @return array{string, string, list<string>, null, null}
     */
    private function tin(string $typed, string $called): array
    {
        if ($typed === '') {
            throw LotException::sizeless();
        }
        $ml = $this->amounts->one()->within($typed, Kind::Volume, 'mL', 1.0, 5_000.0)->value;
        if (mb_strlen($called) > 80) {
            throw LotException::tooLong('called', 80);
        }
        $id = Lot::tinOf($ml);

        return [$id, $called !== '' ? $called : "{$id} mL tin", [], null, null];
    }

    private function formId(string $typed): string
    {
        foreach ($this->cupboard->forms() as $form) {
            if (in_array(mb_strtolower($typed), [mb_strtolower($form->name), mb_strtolower($form->plain)], true)) {
                return $form->id;
            }
        }

        return $typed;
    }

    private function state(string $typed, ?\Kettle\Material\HerbForm $form): State
    {
        $state = $typed === '' ? State::Dried : State::tryFrom(mb_strtolower($typed)) ?? throw MaterialException::unknown('state', $typed);
        $form?->in($state);

        return $state;
    }

    private function amount(LotKind $kind, string $typed, ?Density $density, ?\Kettle\Material\HerbForm $form): float
    {
        $measure = $kind->measure();
        if ($measure === null) {
            return preg_match('/^\d{1,5}$/', $typed) === 1 && (int) $typed <= 10_000 ? (float) $typed : throw LotException::count($typed);
        }

        return $this->amounts
            ->one()
            ->within(
                $typed,
                $measure,
                $measure->value,
                0.01,
                $measure === Kind::Mass ? 100_000 : 200_000,
                $density ?? $form?->bulk->loose,
            )->value;
    }

    private function price(string $typed): float
    {
        $other = $this->otherMoney === null ? null : ($this->otherMoney)($typed);
        if ($other !== null) {
            throw LotException::otherMoney($typed, $other);
        }

        return Money::read($typed) ?? throw LotException::price($typed);
    }

    private function day(string $typed, string $field, bool $gone): ?\DateTimeImmutable
    {
        if ($typed === '') {
            return null;
        }
        $day = Day::read($typed, $this->today->getTimezone());
        if ($day === null || (int) $day->format('Y') < 1980 || (int) $day->format('Y') > 2200) {
            throw LotException::day($typed, $field);
        }
        if ($gone && $day > $this->today) {
            throw LotException::toCome($field);
        }

        return $day;
    }

    /** @return list<string> none where it says so */
    private function allergens(string $typed): array
    {
        return Allergens::typed($typed) ?? throw MaterialException::allergenUnknown($typed);
    }

    private function how(string $typed): string
    {
        return match (mb_strtolower($typed)) {
            '' => '',
            'bought', 'purchased' => 'bought',
            'gathered', 'picked', 'foraged', 'grown', 'home-grown' => 'gathered',
            default => throw LotException::how($typed),
        };
    }

    private function yesOrNo(string $typed, string $field): bool
    {
        return match (mb_strtolower($typed)) {
            'yes', 'y', 'true', '1' => true,
            '', 'no', 'n', 'false', '0' => false,
            default => throw LotException::yesOrNo($typed, $field),
        };
    }
}
