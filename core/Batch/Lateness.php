<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Caution\CautionException;
use Kettle\Caution\ColdStorage;
use Kettle\Diary\Stage;

/**
 * What of a batch is late or over, at a moment: the one place where that is decided. Days are the house's own; a day that
 * something is good until is good to its end.
 */
final readonly class Lateness
{
    /**
     * @param  ?\DateTimeImmutable  $useBy of what is kept cold
     * All moments in the house's zone.
     */
    public function __construct(
        private Stage $stage,
        private \DateTimeImmutable $startAt,
        private ?\DateTimeImmutable $filledAt,
        private \DateTimeImmutable $strainAt,
        private ?\DateTimeImmutable $strainedAt,
        private \DateTimeImmutable $bestBefore,
        private ?\DateTimeImmutable $useBy,
        private \DateTimeImmutable $now,
    ) {}

    /** Whole days since it should have been filled; none or less where it is not late, or filled. */
    public function fillDaysLate(): int
    {
        return $this->stage === Stage::Planned ? self::days($this->startAt, $this->now) : 0;
    }

    /** Whole days since it should have been strained, or until it was; less than none before that day. */
    public function strainDaysLate(): int
    {
        return $this->filledAt === null ? 0 : self::days($this->strainAt, $this->strainedAt ?? $this->now);
    }

    /** Whole days on the herb until now, or until it was strained. */
    public function daysOnHerb(): int
    {
        return $this->filledAt === null ? 0 : self::days($this->filledAt, $this->strainedAt ?? $this->now);
    }

    /** The days it was to be on the herb, as it was really filled. */
    public function daysPlanned(): int
    {
        return $this->filledAt === null ? 0 : self::days($this->filledAt, $this->strainAt);
    }

    /** Whether the day has come on which it is to be strained. */
    public function isStrainDay(): bool
    {
        return self::days($this->strainAt, $this->now) >= 0;
    }

    /** Whether its best-before day is over. */
    public function isPastBest(): bool
    {
        return self::days($this->bestBefore, $this->now) > 0;
    }

    /** Whether it is kept cold, and the moment has come from which nobody may use it. */
    public function isPastUse(): bool
    {
        return $this->useBy !== null && $this->now >= $this->useBy;
    }

    /** Whether it is kept cold, and stood warm longer than it may: it is to be thrown away. */
    public function isWarmTooLong(): bool
    {
        return $this->useBy !== null &&
            $this->filledAt !== null &&
            ColdStorage::isWarmTooLong($this->filledAt, $this->strainedAt, $this->now);
    }

    /**
     * @param  string  $until the moment it was to be used by, in words
     *
     * @throws CautionException when nobody may strain, bottle or use it any more
     */
    public function refuse(string $until): void
    {
        if ($this->isWarmTooLong()) {
            throw CautionException::warmTooLong($until);
        }
        if ($this->isPastUse()) {
            throw CautionException::pastUse($until);
        }
    }

    /** Whole days from one to another, by the calendar. */
    private static function days(\DateTimeImmutable $from, \DateTimeImmutable $to): int
    {
        return (int) $from->setTime(0, 0)->diff($to->setTime(0, 0))->format('%r%a');
    }
}
