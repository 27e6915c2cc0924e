<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Warmth\Band;
use Kettle\Warmth\Load;

/** How a frozen plan is infused. Records of before some of this was written down have the plain method. */
final readonly class PlannedMethod
{
    /** What a warm way is held at where its record does not say, degrees C. */
    private const TARGET_C = 49.0;

    private const CEILING_C = 60.0;

    /**
     * @param  float  $hours to infuse: at warmth, or on the shelf
     * @param  ?float  $targetC,$ceilingC null for what is not warmed
     * @param  float  $standsH,$soakH hours after the heat, and moistened before it is filled
     * @param  ?float  $shakeEveryH null for as often as the method has it
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $school,
        public bool $heated,
        public float $hours,
        public ?float $targetC,
        public ?float $ceilingC,
        public float $standsH,
        public float $soakH,
        public ?float $shakeEveryH,
        public bool $settles,
        public int $warmUpMin,
        public ?Load $load,
    ) {}

    public static function of(Stored $method): self
    {
        $load = $method->part('load');

        return new self(
            $method->text('id'),
            $method->text('name'),
            $method->text('school'),
            $method->flag('heated'),
            $method->number('hours'),
            $method->numberOrNull('target_c'),
            $method->numberOrNull('ceiling_c'),
            $method->number('stands_h'),
            $method->number('soak_h'),
            $method->numberOrNull('shake_every_h'),
            $method->flag('settles', true),
            $method->count('warm_up_min'),
            $method->has('load')
                ? Load::of([
                    'j_per_k' => $load->number('j_per_k'),
                    'w_per_k' => $load->number('w_per_k'),
                    'floor_m2' => $load->number('floor_m2'),
                    'depth_mm' => $load->number('depth_mm'),
                    'poured_c' => $load->numberOrNull('poured_c'),
                ])
                : null,
        );
    }

    /** As the batch goes about it: by its school, shaken as often as was wished. */
    public function practised(Methods $methods): Method
    {
        $method = $methods->method($this->id);
        $school = array_column($method->variants, null, 'id')[$this->school] ?? null;

        return $method->as($school, $this->shakeEveryH);
    }

    public function band(): Band
    {
        return Band::about($this->targetOrUsual(), $this->ceilingOrUsual());
    }

    public function targetOrUsual(): float
    {
        return $this->targetC ?? self::TARGET_C;
    }

    public function ceilingOrUsual(): float
    {
        return $this->ceilingC ?? self::CEILING_C;
    }
}
