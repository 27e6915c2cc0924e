<?php

namespace App\Responses\Stove;

/** A cooker of the house. */
final readonly class CookerView
{
    /**
     * @param  list<string>  $methods
     * @param  list<CookerSetting>  $settings
     */
    public function __construct(
        public string $id,
        public string $called,
        public string $shape,
        public string $size_text,
        public float $length_mm,
        public float $width_mm,
        public float $height_mm,
        public string $methods_text,
        public array $methods,
        public array $settings,
        public string $loss_text,
        public ?string $learned_text,
        public bool $in_use,
    ) {}
}
