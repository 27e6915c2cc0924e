<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\ColdStorage;

/** How the cook goes about it, where that is a choice. */
final readonly class Practice
{
    /** How often a jar on the shelf is shaken, hours: four schools, common practice. */
    public const SHAKES = ['twice-daily' => 12.0, 'daily' => 24.0, 'few-days' => 72.0, 'weekly' => 168.0];

    /** How it cools off the heat; covered is what the methods say. */
    public const COOLED = ['covered', 'uncovered'];

    /** How often it goes through a cloth or paper. */
    public const STRAINED = ['once', 'twice', 'never'];

    /**
     * @param  string  $way how it is got out: drained, squeezed or pressed
     * @param  bool  $spirit whether the herb is moistened with spirit first
     * @param  ?float  $shakeEveryH how often a jar on the shelf is shaken, where the cook said
     * @param  string  $storedAs of ColdStorage::ALL, as it was wished
     * @param  ?float  $standsH hours it stands off the heat, where the cook said
     * @param  bool  $cooledOpen whether the lid is off while it cools
     * @param  bool  $strainedTwice whether it goes through paper a second time
     * @param  bool  $strained whether it is strained at all, and not used from the top, on its sediment
     */
    public function __construct(
        public string $way,
        public bool $spirit = false,
        public ?float $shakeEveryH = null,
        public string $storedAs = ColdStorage::SHELF,
        public ?float $standsH = null,
        public bool $cooledOpen = false,
        public bool $strainedTwice = false,
        public bool $strained = true,
    ) {}

    /** "twice a day", "daily", "every few days", "weekly" */
    public static function oftenness(float $everyH): string
    {
        return match (true) {
            $everyH < 18 => 'twice a day',
            $everyH <= 24 => 'daily',
            $everyH < 150 => 'every few days',
            default => 'weekly',
        };
    }

    /** By another method: shaken, stood and cooled as that has it. */
    public function byAnother(bool $heated): self
    {
        return new self(
            $this->way,
            $this->spirit,
            $heated ? null : $this->shakeEveryH,
            $this->storedAs,
            $heated ? $this->standsH : null,
            $heated && $this->cooledOpen,
            $this->strainedTwice,
            $this->strained,
        );
    }
}
