<?php

declare(strict_types=1);

namespace Kettle\Diary;

/** The kinds of thing there are to do to a batch, and where a person stands to do them. */
enum Step: string
{
    case Moisten = 'moisten';
    case WarmOil = 'warm_oil';
    case Fill = 'fill';
    case TopUp = 'top_up';
    case Check = 'check';
    case Shake = 'shake';
    case WarmOn = 'warm_on';
    case WarmOff = 'warm_off';
    case Strain = 'strain';
    case Ready = 'ready';
    case Settle = 'settle';
    case Decant = 'decant';
    case Bottle = 'bottle';
    case Smell = 'smell';
    case UseUp = 'use_up';

    /** bench, shelf, stove or press */
    public function place(bool $heated): string
    {
        return match ($this) {
            self::Moisten, self::Fill => 'bench',
            self::WarmOn, self::WarmOff, self::WarmOil => 'stove',
            self::Shake, self::TopUp, self::Check => $heated ? 'stove' : 'shelf',
            self::Smell, self::UseUp => 'shelf',
            default => 'press',
        };
    }

    /** Hands-on time, minutes: common practice, no source. */
    public function minutes(): int
    {
        return match ($this) {
            self::Fill => 20,
            self::WarmOil => 15,
            self::Moisten => 10,
            self::Strain => 20,
            self::Bottle => 15,
            self::Decant => 10,
            self::WarmOn, self::WarmOff => 5,
            self::TopUp, self::Check, self::Ready, self::Smell, self::UseUp => 2,
            self::Shake => 1,
            self::Settle => 0,
        };
    }

    public function skippable(): bool
    {
        return in_array(
            $this,
            [self::Moisten, self::WarmOil, self::TopUp, self::Check, self::Shake, self::WarmOn, self::Decant, self::Smell],
            true,
        );
    }

    /** Steps that look after a jar while it stands. */
    public function tends(): bool
    {
        return in_array($this, [self::TopUp, self::Check, self::Shake], true);
    }

    /** Steps that are done with amounts or answers, and so not by a word. */
    public function wantsAmounts(): bool
    {
        return in_array($this, [self::Strain, self::Ready, self::Bottle, self::Smell, self::UseUp], true);
    }

    /** As logbooks name it: the second time is told from the first. */
    public function key(int $nth = 1): string
    {
        return $this->value.($nth > 1 ? '-'.$nth : '');
    }

    /** Waiting is not something to do. */
    public function isWaiting(): bool
    {
        return $this === self::Settle;
    }

    public function verb(): string
    {
        return match ($this) {
            self::Moisten => 'moisten',
            self::WarmOil => 'warm the oil for',
            self::Fill => 'fill',
            self::TopUp => 'top up',
            self::Check => 'look at',
            self::Shake => 'shake',
            self::WarmOn => 'switch on',
            self::WarmOff => 'switch off',
            self::Strain => 'strain',
            self::Ready => 'say ready',
            self::Settle => 'let settle',
            self::Decant => 'pour off',
            self::Bottle => 'bottle',
            self::Smell => 'smell',
            self::UseUp => 'use up',
        };
    }
}
