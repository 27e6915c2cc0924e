<?php

namespace App\House;

use Illuminate\Support\Carbon;
use Kettle\Time\Dates;

/** Days and times as they are said in the house, in its own zone. */
final readonly class Times
{
    public function __construct(private KitchenFactory $kitchens) {}

    public function day(\DateTimeInterface $moment): string
    {
        return Dates::near($this->kitchens->local($moment), $this->kitchens->now());
    }

    public function clock(\DateTimeInterface $moment): string
    {
        return Dates::say($this->kitchens->local($moment), 'clock');
    }

    /** "today 14:00", "tomorrow 9:00", "Thu 26 Nov", "29 Nov 2027", "3 days ago" */
    public function due(\DateTimeInterface $moment): string
    {
        $local = $this->kitchens->local($moment);
        $today = $this->kitchens->now()->setTime(0, 0);
        $days = (int) $today->diff($local->setTime(0, 0))->format('%r%a');

        return match (true) {
            $days === 0 => 'today '.Dates::say($local, 'clock'),
            $days === 1 => 'tomorrow '.Dates::say($local, 'clock'),
            $days === -1 => 'yesterday '.Dates::say($local, 'clock'),
            $days < 0 => -$days.' days ago',
            default => Dates::near($local, $today),
        };
    }

    public function logged(\DateTimeInterface $moment): string
    {
        $local = $this->kitchens->local($moment);

        return Dates::say($local, $local->format('Y') === $this->kitchens->now()->format('Y') ? 'moment' : 'dated_moment');
    }

    public function date(\DateTimeInterface|string $day): string
    {
        return Dates::say(Carbon::parse($day), 'short_day');
    }

    /** Whole days from one moment to another, by the house's calendar. */
    public function daysBetween(\DateTimeInterface $from, \DateTimeInterface $to): int
    {
        return (int) $this->kitchens
            ->local($from)
            ->setTime(0, 0)
            ->diff($this->kitchens->local($to)->setTime(0, 0))
            ->format('%r%a');
    }
}
