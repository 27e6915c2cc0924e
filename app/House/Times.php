<?php

namespace App\House;

use Illuminate\Support\Carbon;

/** Days and times as they are said in the house, in its own zone. */
final readonly class Times
{
    public function __construct(private KitchenFactory $kitchens) {}

    public function day(\DateTimeInterface $moment): string
    {
        return $this->kitchens->local($moment)->format('D j M');
    }

    public function clock(\DateTimeInterface $moment): string
    {
        return $this->kitchens->local($moment)->format('H:i');
    }

    /** "today 14:00", "tomorrow 9:00", "Thu 26 Nov", "3 days ago" */
    public function due(\DateTimeInterface $moment): string
    {
        $local = $this->kitchens->local($moment);
        $today = $this->kitchens->now()->setTime(0, 0);
        $days = (int) $today->diff($local->setTime(0, 0))->format('%r%a');

        return match (true) {
            $days === 0 => 'today '.$local->format('H:i'),
            $days === 1 => 'tomorrow '.$local->format('H:i'),
            $days === -1 => 'yesterday '.$local->format('H:i'),
            $days < 0 => -$days.' days ago',
            default => $local->format('D j M'),
        };
    }

    public function logged(\DateTimeInterface $moment): string
    {
        $local = $this->kitchens->local($moment);

        return $local->format($local->format('Y') === $this->kitchens->now()->format('Y') ? 'D j M, H:i' : 'j M Y, H:i');
    }

    public function date(\DateTimeInterface|string $day): string
    {
        return Carbon::parse($day)->format('j M Y');
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
