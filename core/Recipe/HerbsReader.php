<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Material\Counts;
use Kettle\Material\Cupboard;
use Kettle\Material\Herb;
use Kettle\Material\HerbForm;
use Kettle\Material\HerbMix;
use Kettle\Material\HerbPart;
use Kettle\Material\Lying;
use Kettle\Material\MaterialException;
use Kettle\Material\State;
use Kettle\Material\Wilting;
use Kettle\Measure\Amount;
use Kettle\Measure\AmountException;
use Kettle\Measure\Density;
use Kettle\Measure\Kind;
use Kettle\Reason\Faults;
use Kettle\Reason\RefusedException;
use Kettle\Stores\Lot;
use Kettle\Stores\LotException;
use Kettle\Stores\LotKind;

/**
 * Reads the herbs of a wish: `herbs`, a list, or `herb`, one of them.
 *
 * Weights given for every herb are its parts. A weight given for one sets the others by their parts.
 */
final readonly class HerbsReader
{
    /** Kitchen bounds, g: more than this is a works, less cannot be weighed. */
    private const BOUNDS = [0.1, 10_000.0];

    /** Water as it was said and as the weights have it may differ by so much, fraction of the weight. */
    private const WATER_AGREES = 0.08;

    public function __construct(private Cupboard $cupboard, private Kitchen $kitchen) {}

    /**
     * @param  array<mixed>  $wish
     * @return list<mixed>
     */
    public static function list(array $wish): array
    {
        return is_array($wish['herbs'] ?? null) && $wish['herbs'] !== [] ? array_values($wish['herbs']) : [$wish['herb'] ?? null];
    }

    /**
     * @param  array<mixed>  $wish
     * @param  Faults  $faults to which each herb's are added
     * @return array{mix: HerbMix, total: ?Amount}|null null when one could not be read
     *
     * @throws MaterialException when they do not make a mix
     */
    public function read(array $wish, Faults $faults): ?array
    {
        $list = self::list($wish);
        $many = is_array($wish['herbs'] ?? null) && $wish['herbs'] !== [];
        $read = [];
        foreach ($list as $i => $herb) {
            $field = $many ? "herbs.{$i}" : 'herb';
            try {
                $read[] = $this->one(is_array($herb) ? $herb : []);
            } catch (RefusedException $refused) {
                $faults->add($refused->about(rtrim($field.'.'.$refused->field, '.')));
            }
        }

        return count($read) === count($list) ? $this->together($read) : null;
    }

    /**
     * @param  list<array{plant: Herb, form: HerbForm, parts: ?float, water: float, amount: ?Amount, lot: string}>  $read
     * @return array{mix: HerbMix, total: ?Amount}
     */
    private function together(array $read): array
    {
        $weighed = array_filter($read, fn (array $each) => $each['amount'] !== null);
        if (count($weighed) > 1 && count($weighed) < count($read)) {
            throw MaterialException::someWeighed();
        }
        $all = count($weighed) === count($read) && count($read) > 1;
        $parts = array_map(
            fn (array $each) => new HerbPart(
                $each['plant'],
                $each['form'],
                $all ? (float) $each['amount']?->value : $each['parts'] ?? 1.0,
                $each['water'],
                $each['lot'],
            ),
            $read,
        );
        $mix = HerbMix::of($parts);
        if ($weighed === []) {
            return ['mix' => $mix, 'total' => null];
        }
        $first = array_key_first($weighed);
        $amount = $weighed[$first]['amount'];
        if (count($read) === 1) {
            return ['mix' => $mix, 'total' => $amount];
        }
        $typed = implode(' and ', array_map(fn (array $each) => Numbers::withUnit($each['amount']->typed, 'g'), $weighed));
        $total = $all ? array_sum(array_map(fn (HerbPart $part) => $part->parts, $parts)) : $amount->value / $mix->shares()[$first];
        if ($total > self::BOUNDS[1]) {
            throw new MaterialException(
                'too_much',
                'All the herbs together are more than a kitchen handles at once. The most that is planned here is 10 kg.',
            );
        }

        // What was counted leaves as much open in the whole as it does in itself.
        $low = $high = 0.0;
        foreach ($weighed as $each) {
            $low += $each['amount']->low;
            $high += $each['amount']->high;
        }
        $of = $all ? 1.0 : $total / $amount->value;

        return ['mix' => $mix, 'total' => Amount::together(Kind::Mass, $total, $low * $of, $high * $of, $typed)];
    }

    /**
     * @param  array<mixed>  $herb
     * @return array{plant: Herb, form: HerbForm, parts: ?float, water: float, amount: ?Amount, lot: string}
     */
    private function one(array $herb): array
    {
        [$plant, $named] = $this->plant($herb);
        $lot = $this->about('lot', fn () => $this->lot($herb, $plant));
        $typed = Fields::text($herb, 'state');
        $said = $typed === null ? $named : State::tryFrom($typed) ?? throw MaterialException::unknown('state', $typed)->about('state');
        if ($lot?->state !== null && $said !== null && $lot->state->isWet() !== $said->isWet()) {
            throw MaterialException::lotIsOther($lot->called, $lot->state, $said)->about('state');
        }
        $said ??= $lot?->state;
        $plain = $this->about('form', fn () => $this->cupboard->form(Fields::text($herb, 'form') ?? ($lot->form ?? $plant->form)));
        $water = $this->waterSaid($herb, $plain, $plant);
        $state = $said ?? ($water !== null && $water > $this->crisp() ? State::Wilted : State::Dried);
        if ($water !== null && $state->isWet() !== $water > $this->crisp()) {
            throw MaterialException::wordAndWater($state, $water, $this->crisp())->about('state');
        }
        $form = $this->about('form', fn () => $plain->in($state));
        $amount = $this->about('amount', fn () => $this->amount($herb, $form, $plant));
        $parts = Fields::text($herb, 'parts');

        return [
            'plant' => $plant,
            'form' => $form,
            'parts' => $parts === null ? null : $this->about('parts', fn () => $this->kitchen->reader()->number($parts)),
            'water' => $water ?? $this->usualWater($form, $plant),
            'amount' => $amount,
            'lot' => $lot->id ?? '',
        ];
    }

    /**
     * A plant by its id, or by whatever name it goes by in the Almanac; a name may say its state as well.
     *
     * @param  array<mixed>  $herb
     * @return array{Herb, ?State}
     */
    private function plant(array $herb): array
    {
        $id = Fields::text($herb, 'id');
        if ($id !== null) {
            return [$this->cupboard->herb($id), null];
        }
        $name = Fields::text($herb, 'name') ?? throw MaterialException::noHerb();
        if (mb_strlen($name) > 60) {
            throw new MaterialException('too_long', 'A herb’s name takes at most 60 letters.');
        }

        $bare = trim(preg_replace('/\b(fresh(ly)?|raw|wilted|dried|dry|picked)\b[\s,]*/iu', '', $name) ?? $name, ' ,');
        $state = match (true) {
            preg_match('/\b(fresh(ly)?|raw)\b/iu', $name) === 1 => State::Fresh,
            preg_match('/\bwilted\b/iu', $name) === 1 => State::Wilted,
            preg_match('/\b(dried|dry)\b/iu', $name) === 1 => State::Dried,
            default => null,
        };
        $known = $this->cupboard->herbNamed($name) ?? $this->cupboard->herbNamed($bare);

        return [$known ?? Herb::unlisted($name, Fields::text($herb, 'form') ?? 'thin-leaf'), $state];
    }

    /**
     * The lot it is to be taken from first: one of this plant.
     *
     * @param  array<mixed>  $herb
     *
     * @throws LotException
     */
    private function lot(array $herb, Herb $plant): ?Lot
    {
        $id = Fields::text($herb, 'lot');
        if ($id === null) {
            return null;
        }
        $lot = $this->kitchen->lot($id) ?? throw LotException::noSuch($id);

        return $lot->kind === LotKind::Herb &&
            ($plant->id === '' ? mb_strtolower($lot->called) === mb_strtolower($plant->name) : $lot->material === $plant->id)
            ? $lot
            : throw LotException::ofAnother($lot->called, $plant->name);
    }

    private function crisp(): float
    {
        return $this->cupboard->tables()->table('forms')->row('wilting')->row('crisp_water')->number('value');
    }

    /** @param  array<mixed>  $herb */
    private function amount(array $herb, HerbForm $form, Herb $plant): ?Amount
    {
        $typed = Fields::text($herb, 'amount');
        if ($typed === null) {
            return null;
        }
        if ($form->bagG !== null && preg_match('/^(\d{1,4})\s*(?:tea[\s-]*)?bags?$/i', $typed, $m) === 1 && (int) $m[1] > 0) {
            return Amount::of(Kind::Mass, (int) $m[1] * $form->bagG, $typed);
        }

        $counts = new Counts($this->cupboard->tables());
        [$bare, $lying] = Lying::in($typed);
        if ($lying !== null && ! $counts->isCounted($bare)) {
            return $this->lying($typed, $bare, $form->density($lying));
        }
        $counted = $counts->amount($typed, $plant, $form->state, $this->kitchen->reader()->number(...));
        if ($counted !== null) {
            return $counted->value >= self::BOUNDS[0] && $counted->value <= self::BOUNDS[1]
                ? $counted
                : throw new MaterialException('out_of_range', 'That is more, or less, than a kitchen handles at once.');
        }
        try {
            return $this->kitchen->reader()->within($typed, Kind::Mass, 'g', ...[...self::BOUNDS, $form->bulk->loose]);
        } catch (AmountException $refused) {
            throw $counts->isCounted($typed) ? MaterialException::countUnknown($typed, $plant->name) : $refused;
        }
    }

    /** A cup that is packed holds more of it than one it was tipped into; a weight is what it is, however it lies. */
    private function lying(string $typed, string $bare, Density $density): Amount
    {
        return $this->kitchen->reader()->within($bare, Kind::Mass, 'g', ...[...self::BOUNDS, $density])->as($typed);
    }

    /**
     * The fraction of it that is water, where it was said or can be told from two weights; null where not.
     *
     * @param  array<mixed>  $herb
     *
     * @throws MaterialException where what was said and the weights are not the same
     */
    private function waterSaid(array $herb, HerbForm $form, Herb $plant): ?float
    {
        $said = Fields::text($herb, 'water');
        $water = null;
        if ($said !== null) {
            $percent = $this->about('water', fn () => $this->kitchen->reader()->number(rtrim($said, '% ')));
            if ($percent < 1 || $percent > 97) {
                throw new MaterialException('out_of_range', 'Water is between 1 and 97 per cent of a plant’s weight.', 'water');
            }
            $water = $percent / 100;
        }
        $picked = Fields::text($herb, 'picked');
        if ($picked === null) {
            return $water;
        }
        if (Fields::text($herb, 'amount') === null) {
            throw new MaterialException('missing', 'Say what it weighs now, so that the water it has lost is known.', 'amount');
        }
        $before = $this->about('picked', fn () => $this->kitchen->measured()->within($picked, Kind::Mass, 'g', 0.1, 100_000));
        $now = $this->about('amount', fn () => $this->amount($herb, $form, $plant));
        assert($now !== null);
        $weighed = $this->about(
            'picked',
            fn () => Wilting::weighed(
                $before->value,
                $now->value,
                $plant->waterFresh ?? ($form->waterFresh ?? 0.8),
                null,
                $this->cupboard->tables(),
            ),
            true,
        )->waterNow;
        if ($water !== null && abs($water - $weighed) > self::WATER_AGREES) {
            throw MaterialException::waterAndWeights($water, $weighed)->about('water');
        }

        return $water ?? $weighed;
    }

    /** The water usual for its state. */
    private function usualWater(HerbForm $form, Herb $plant): float
    {
        if (! $form->state->isWet()) {
            return HerbMix::DRY_WATER;
        }
        $fresh = $plant->waterFresh ?? ($form->waterFresh ?? 0.8);

        return $form->state === State::Fresh
            ? $fresh
            : max(
                $this->crisp(),
                1 - (1 - $fresh) / (1 - $this->cupboard->tables()->table('forms')->row('wilting')->row('ready_lost')->number('value')),
            );
    }

    /**
     * @template T
     *
     * @param  \Closure(): T  $read
     * @return T
     */
    private function about(string $field, \Closure $read, bool $always = false): mixed
    {
        try {
            return $read();
        } catch (RefusedException $refused) {
            throw $refused->field === '' || $always ? $refused->about($field) : $refused;
        }
    }
}
