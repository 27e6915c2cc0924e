<?php

namespace App\Responses\Boil;

use App\OpenApi\Schema;
use App\Responses\Batch\EntryView;
use App\Responses\Making\FromView;
use App\Responses\Shape;

/** A pot that is boiled down, as it stands. */
final readonly class PotView extends Shape
{
    /**
     * @param  string  $kind decoction, cleanse, cook or glycerin
     * @param  string  $next what is to be done next, and when
     * @param  ?string  $left "5.1 L", still to go off; null where nobody knows what stood in it
     * @param  ?string  $more "11 to 13 h" of flame
     * @param  ?string  $done "Sat 28 Nov, 16:00"
     * @param  ?string  $done_between the two moments it lies between
     * @param  string  $rate "410 mL an hour, 380 to 440, by six marks"
     * @param  string  $from_at,$to_at the first and last moment of what is drawn
     * @param  list<PotPoint>  $track what stood in it
     * @param  list<PotAhead>  $ahead what is to stand in it
     * @param  list<PotMark>  $marks
     * @param  ?BoilNote  $watch what its warmth says
     * @param  list<PotSign>  $signs in order; none where it is done when it has come down to its mark
     * @param  list<BoilNote>  $notes
     * @param  list<PotHeed>  $heed of the oil that is to be bottled of it
     * @param  list<FromView>  $from the pots and lots it was filled from
     * @param  list<EntryView>  $entries newest first
     */
    public function __construct(
        public string $id,
        public string $code,
        public string $name,
        public string $kind,
        #[Schema(['type' => 'string', 'enum' => ['planned', 'on', 'off', 'made', 'gone', 'discarded']])] public string $stage,
        public string $begun,
        public string $next,
        public ?string $left,
        public ?string $more,
        public ?string $done,
        public ?string $done_between,
        public string $rate,
        public bool $learned,
        public ?PotLevel $pot,
        public string $from_at,
        public string $to_at,
        public array $track,
        public array $ahead,
        public array $marks,
        public ?float $from_ml,
        public ?string $from_text,
        public ?float $ends_ml,
        public string $ends_text,
        public ?BoilNote $watch,
        public array $signs,
        public ?SignsView $verdict,
        public array $notes,
        public array $heed,
        public ?PotMade $made,
        public string $warm,
        public string $expected,
        public string $unit,
        public bool $open,
        public bool $bottled,
        public array $from,
        public array $entries,
        public int $entries_total,
    ) {}
}
