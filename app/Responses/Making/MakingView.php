<?php

namespace App\Responses\Making;

use App\OpenApi\Schema;
use App\Responses\Batch\EntryView;
use App\Responses\Shape;

/** A product as it is made: its plan, what is in the pot, its steps, its logbook, its tins. */
final readonly class MakingView extends Shape
{
    /**
     * @param  array<mixed>  $plan as it was begun
     * @param  array<mixed>  $wish
     * @param  list<PotNow>  $pot
     * @param  float  $in_pot_g without what goes in when it has cooled, as long as it has not
     * @param  float  $in_pot_firmness of that
     * @param  string  $band id of the word for how firm it is
     * @param  bool  $by_wax whether wax decides how firm it is, so that it can be mended
     * @param  list<StepView>  $steps
     * @param  list<FillView>  $fill
     * @param  list<TinView>  $tins
     * @param  list<FromView>  $from
     * @param  list<string>  $ingredients in a cook's words, in falling order
     * @param  list<string>  $inci as a label of a care product names them
     * @param  list<string>  $allergens
     * @param  list<string>  $warnings what became of its oils since
     * @param  list<EntryView>  $entries
     */
    public function __construct(
        public string $id,
        public string $code,
        public string $name,
        public string $product,
        public string $vessel,
        public string $stage,
        public string $stage_text,
        public int $version,
        #[Schema(['$ref' => '#/components/schemas/Product'])] public array $plan,
        #[Schema(['$ref' => '#/components/schemas/ProductWish'])] public array $wish,
        public array $pot,
        public string $mass_text,
        public string $volume_text,
        public float $in_pot_g,
        public float $in_pot_firmness,
        public float $firmness,
        public string $firmness_text,
        public string $band,
        public bool $by_wax,
        public int $mends,
        public ?ToMend $to_mend,
        public array $steps,
        public ?LeafView $leaf,
        public array $fill,
        public array $tins,
        public int $tins_left,
        public string $stands,
        public string $best_before,
        public array $from,
        public array $ingredients,
        public array $inci,
        public array $allergens,
        public array $warnings,
        public array $entries,
        public int $entries_total,
    ) {}
}
