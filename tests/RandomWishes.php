<?php

namespace Tests;

use Kettle\Material\Cupboard;
use Kettle\Material\Tables;
use Kettle\Reason\Way;
use Kettle\Recipe\KitchenReader;
use Kettle\Recipe\Plan;
use Kettle\Recipe\Planning;
use Kettle\Recipe\WishException;

/**
 * Wishes at random, most of them for what is dangerous, and what no plan of them may ever be. What is
 * asked for stands here in words of its own, by method and by plant, and never asks the code or its
 * tables: the project's traits and rules are what it is meant to catch out.
 */
final class RandomWishes
{
    /** Methods with a flame or a hot plate under them, or with the lid screwed down. Common practice, no source. */
    private const NO_SPIRIT = ['double-boiler', 'water-bath', 'poured-hot', 'gentle-pan'];

    /** Soured by a tested way: Pacific Northwest Extension, PNW 664, from memory. */
    private const SOURED = ['garlic', 'basil', 'oregano', 'rosemary'];

    /** Days wet kitchen herb is kept in oil at 4 °C: National Center for Home Food Preservation, from memory. */
    private const COLD_DAYS = 4;

    /** Hours out of the refrigerator, first to last: FDA Food Code 3-501.19, from memory. */
    private const WARM_H = 4;

    private readonly Planning $bench;

    private readonly Tables $tables;

    /** @var array<string, list<string>> */
    private array $of;

    /** @var array<string, int> how many were planned, refused, wet for the kitchen, cold, soured, with spirit; and ways taken */
    public array $seen = ['planned' => 0, 'refused' => 0, 'wet_kitchen' => 0, 'cold' => 0, 'soured' => 0, 'spirit' => 0, 'ways' => 0];

    public function __construct(int $seed)
    {
        mt_srand($seed);
        $this->tables = Tables::shipped();
        $this->bench = new Planning($this->tables);
        $cupboard = new Cupboard($this->tables);
        $this->of = [
            'herb' => array_keys($cupboard->herbs()),
            'oil' => array_keys($cupboard->carriers()),
            'method' => array_keys($this->bench->methods()->all()),
        ];
    }

    /** @return array<string, mixed> */
    public function wish(): array
    {
        $herb = fn (): array => mt_rand(0, 9) === 0
            ? ['name' => 'wild garlic', 'state' => 'fresh']
            : [
                'id' => $this->one(mt_rand(0, 1) === 0 ? ['basil', 'garlic', 'onion', 'oregano', 'tomato', 'chilli'] : $this->of['herb']),
                'state' => $this->one(['fresh', 'wilted', 'dried']),
            ];

        $method = $this->one($this->of['method']);

        return array_filter([
            'herbs' => array_map(fn () => $herb(), range(1, mt_rand(1, 2))),
            'oils' => [$this->one($this->of['oil'])],
            'purpose' => $this->one(['kitchen', 'kitchen', 'kitchen', 'skin', 'hair']),
            'kept' => $this->one([null, 'shelf', 'fridge', 'soured']),
            'method' => $method,
            'way' => $this->one([null, 'squeezed', 'drained']),
            'basis' => $this->one(['dry', 'as-it-lies']),
            'jar' => $method === 'gentle-pan' ? null : $this->one(['473', '946', null]),
            'spirit' => $this->one([null, null, 'yes']),
        ]);
    }

    /**
     * One wish planned, on some hour of the day, and looked at.
     *
     * @param  bool  $takeWays  whether every way out of a refusal is taken, which costs as many plans
     * @return list<string> what is wrong with it, nothing when it is as it must be
     */
    public function next(bool $takeWays): array
    {
        $wish = $this->wish();
        $kitchen = KitchenReader::read(
            ['now' => sprintf('2026-11-24T%02d:%02d:00+00:00', mt_rand(0, 23), mt_rand(0, 59)), 'time_zone' => 'Europe/London'],
            new \DateTimeImmutable('2026-11-24T10:00:00Z'),
            $this->tables,
        );
        try {
            $plan = $this->bench->plan($wish, $kitchen);
        } catch (WishException $refused) {
            $this->seen['refused']++;
            $wrong = [];
            foreach ($takeWays ? array_merge([], ...array_map(fn (array $fault) => $fault['ways'] ?? [], $refused->faults)) : [] as $way) {
                $this->seen['ways']++;
                try {
                    $wrong = [...$wrong, ...$this->wrongWith($this->bench->plan(Way::taken($wish, $way['change']), $kitchen), false)];
                } catch (WishException $again) {
                    $wrong[] = sprintf('“%s” leads to: %s', $way['says'], $again->getMessage());
                }
            }

            return $wrong === [] ? [] : [json_encode($wish).': '.implode('; ', $wrong)];
        }
        $this->seen['planned']++;
        $wrong = $this->wrongWith($plan, true);

        return $wrong === [] ? [] : [json_encode($wish).': '.implode('; ', $wrong)];
    }

    /** @return list<string> */
    private function wrongWith(Plan $plan, bool $count): array
    {
        $wrong = [];
        $spirit = $plan->wish->practice->spirit !== null && $plan->wish->practice->spirit !== false;
        if ($spirit && in_array($plan->wish->method->id, self::NO_SPIRIT, true)) {
            $wrong[] = "spirit {$plan->wish->method->id}";
        }
        $wet = array_filter($plan->wish->mix->parts, fn ($part) => in_array($part->form->state->value, ['fresh', 'wilted'], true));
        $kitchen = $plan->wish->purpose === 'kitchen' && $wet !== [];
        $kept = $plan->wish->storage();
        $fill = $plan->timetable->fillAt;
        if ($kitchen && $kept === 'fridge') {
            $days = (strtotime($plan->figures['best_before']->text()) - strtotime($fill->format('Y-m-d'))) / 86400;
            if ($days > self::COLD_DAYS) {
                $wrong[] = "kept cold {$days} days";
            }
            if ($plan->timetable->strainedBy()->getTimestamp() - $fill->getTimestamp() > self::WARM_H * 3600) {
                $wrong[] = 'too long out of the refrigerator';
            }
        } elseif ($kitchen && $kept === 'soured') {
            foreach ($wet as $part) {
                if (! in_array($part->plant->id ?? '', self::SOURED, true)) {
                    $wrong[] = 'soured by no tested way';
                }
            }
        } elseif ($kitchen) {
            $wrong[] = "wet for the kitchen, kept on the {$kept}";
        }
        if ($count) {
            $this->seen['spirit'] += (int) $spirit;
            $this->seen['wet_kitchen'] += (int) $kitchen;
            $this->seen['cold'] += (int) ($kitchen && $kept === 'fridge');
            $this->seen['soured'] += (int) ($kitchen && $kept === 'soured');
        }

        return $wrong;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    private function one(array $of): mixed
    {
        return $of[mt_rand(0, count($of) - 1)];
    }
}
