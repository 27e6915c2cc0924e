<?php

declare(strict_types=1);

namespace Kettle\Stores;

use Kettle\Keeping\ShelfLife;
use Kettle\Material\Cupboard;
use Kettle\Reason\Said;

/** Whether a lot is still good, with the reasons: sound, ageing (use it soon) or past (do not use it). */
final readonly class Condition
{
    public const SOUND = 'sound';

    public const AGEING = 'ageing';

    public const PAST = 'past';

    /** Days before its best-before on which a lot is told as ageing. */
    public const WARN_DAYS = 30;

    /**
     * @param  'ageing'|'past'|'sound'  $is
     * @param  list<Said>  $reasons the weightiest first; empty when sound
     */
    private function __construct(public string $is, public array $reasons) {}

    public static function of(Lot $lot, \DateTimeImmutable $today, Cupboard $cupboard): self
    {
        $past = $ageing = [];
        if ($lot->verdict === 'past') {
            $past[] = Said::of('lot.failed-check');
        } elseif ($lot->verdict === 'soon') {
            $ageing[] = Said::of('lot.use-soon');
        }
        if ($lot->dates->bestBefore !== null) {
            $with = ['day' => ['short_day' => $lot->dates->bestBefore]];
            if ($lot->dates->bestBefore < $today) {
                $past[] = Said::of('lot.best-before-was', $with);
            } elseif ($lot->dates->bestBefore <= $today->modify('+'.self::WARN_DAYS.' days')) {
                $ageing[] = Said::of('lot.best-before-is', $with);
            }
        }
        $until = self::expected($lot, $cupboard);
        if ($until !== null && $until['day'] < $today) {
            // The seller's day always wins over a table's months.
            $ageing[] = $until['says'];
        }

        return match (true) {
            $past !== [] => new self(self::PAST, [...$past, ...$ageing]),
            $ageing !== [] => new self(self::AGEING, $ageing),
            default => new self(self::SOUND, []),
        };
    }

    /**
     * The first day on which a lot is told as ageing or past by its days alone; null where no day is known.
     */
    public static function agesOn(Lot $lot, Cupboard $cupboard): ?\DateTimeImmutable
    {
        $days = array_filter([
            $lot->dates->bestBefore?->modify('-'.self::WARN_DAYS.' days'),
            self::expected($lot, $cupboard)['day'] ?? null,
        ]);

        return $days === [] ? null : min($days);
    }

    /** Oldest first among what may be used: sound before ageing would leave the old to spoil. */
    public static function usable(Lot $lot, \DateTimeImmutable $today): bool
    {
        return $lot->stock->left > 0 && $lot->verdict !== 'past' && ($lot->dates->bestBefore === null || $lot->dates->bestBefore >= $today);
    }

    /** @return array{day: \DateTimeImmutable, says: Said}|null the day the tables expect it to have aged by */
    private static function expected(Lot $lot, Cupboard $cupboard): ?array
    {
        if (
            $lot->kind === LotKind::Carrier &&
            $lot->dates->openedOn !== null &&
            ($oil = $cupboard->carrierOrNull($lot->material)) !== null
        ) {
            $months = $oil->months->opened;

            return [
                'day' => ShelfLife::after($lot->dates->openedOn, $months),
                'says' => Said::of('lot.opened', ['day' => ['short_day' => $lot->dates->openedOn], 'months' => $months]),
            ];
        }
        if ($lot->kind === LotKind::Herb && $lot->dates->gotOn !== null) {
            if ($lot->state !== null && $lot->state->isWet()) {
                return [
                    'day' => $lot->dates->gotOn->modify('+2 days'),
                    'says' => Said::of('lot.wet-since', [
                        'state' => Said::of('state.'.$lot->state->value),
                        'day' => ['short_day' => $lot->dates->gotOn],
                    ]),
                ];
            }
            $form = $cupboard->forms()[$lot->form ?? ''] ?? null;
            if ($form !== null) {
                return [
                    'day' => ShelfLife::after($lot->dates->gotOn, $form->keepsMonths),
                    'says' => Said::of('lot.dried-since', ['day' => ['short_day' => $lot->dates->gotOn], 'months' => $form->keepsMonths]),
                ];
            }
        }

        return null;
    }
}
