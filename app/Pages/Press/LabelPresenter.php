<?php

namespace App\Pages\Press;

use App\House\KitchenFactory;
use App\House\Times;
use App\Labels\LabelLayout;
use App\Labels\LabelSheet;
use App\Models\Batch;
use App\Models\Bottle;
use App\Pages\Batch\CautionPresenter;
use App\Responses\Press\LabelLine;
use App\Responses\Press\LabelPage;
use Kettle\Batch\FrozenPlan;
use Kettle\Batch\PlannedHerb;
use Kettle\Batch\PlannedOil;
use Kettle\Recipe\Planning;
use Kettle\Recipe\Sizing;

/**
 * What a label says, by field: plant, part and state, oil, ratio, method, made, strained and bottled days,
 * best before, where the plant came from, what it is for, how to keep it, and the cautions that hold.
 */
final readonly class LabelPresenter
{
    /** Fields in the order of their weight, and whether they are on where nobody chose. */
    public const FIELDS = [
        'title' => ['what it is', true],
        'net' => ['net amount and number', true],
        'best_before' => ['best before', true],
        'cautions' => ['cautions', true],
        'herb' => ['herb', true],
        'oil' => ['oil', true],
        'days' => ['days', true],
        'for' => ['what it is for', true],
        'keep' => ['how to keep it', true],
        'ratio' => ['ratio and method', true],
        'origin' => ['where the plant came from', true],
        'words' => ['your own line', true],
        'code' => ['batch code and 2D code', true],
    ];

    /** Parts of plants as INCI names have them; what is not here stands as it is called. From memory. */
    private const INCI_PARTS = [
        'leaf' => 'Leaf',
        'leaf and flower' => 'Flower/Leaf',
        'flower' => 'Flower',
        'flower head' => 'Flower',
        'flowering top' => 'Flower/Leaf/Stem',
        'flower and bract' => 'Flower',
        'petal' => 'Flower',
        'root' => 'Root',
        'root bark' => 'Root Bark',
        'bark' => 'Bark',
        'seed' => 'Seed',
        'berry' => 'Fruit',
        'fruit' => 'Fruit',
        'peel' => 'Peel',
        'bud' => 'Bud',
        'needle' => 'Leaf',
        'tip' => 'Bud',
        'bulb' => 'Bulb',
        'pod' => 'Fruit',
    ];

    public function __construct(
        private Times $times,
        private CautionPresenter $cautions,
        private Planning $planning,
        private LabelDesk $desk,
        private KitchenFactory $kitchens,
    ) {}

    /** @return list<LabelLine> what stands on the label, as it was set */
    public function of(Batch $batch): array
    {
        return $this->label($batch, 0)->lines();
    }

    /** @param  int  $bottles labels to be printed */
    public function label(Batch $batch, int $bottles): LabelOf
    {
        // Nearly each of its lines asks the log.
        $batch->loadMissing('entries');
        $first = $batch->bottles()->where('state', 'in')->orderBy('number')->first();

        return new LabelOf(
            self::FIELDS,
            $this->texts($batch),
            $batch->label,
            $this->cautions->of($batch, 'label'),
            $batch->purpose === 'kitchen' ? 'kitchen' : 'skin',
            $batch->use_by !== null,
            $bottles,
            $first instanceof Bottle ? LabelSheet::net($first) : '',
            LabelSheet::contents(1000).'  no. '.$bottles,
            $batch->version,
        );
    }

    public function page(Batch $batch, int $bottles): LabelPage
    {
        return $this->desk->page($this->label($batch, $bottles));
    }

    /** @return array<string, string> by field */
    private function texts(Batch $batch): array
    {
        $plan = $batch->plan->told($this->kitchens->words());
        $oils = $plan->oils;
        $inci = LabelOf::said($batch->label, 'names', 'cook') === 'inci';
        $grams = $plan->grams();
        usort($oils, fn (PlannedOil $a, PlannedOil $b) => $grams[$b->id] <=> $grams[$a->id]);
        $kitchen = $batch->purpose === 'kitchen';

        return [
            'title' => ucfirst($plan->title).' oil',
            'net' => '',
            LabelLayout::MUST => implode(' ', $this->cautions->short($batch, true)),
            'best_before' => $batch->use_by === null
                    ? 'Best before '.$this->times->date($batch->best_before)
                    : 'Use by '.$this->times->logged($batch->use_by),
            'cautions' => implode(' ', $this->cautions->short($batch, false)),
            'herb' => $inci
                ? 'Ingredients: '.implode(', ', [...self::byWeight($plan), ...self::antioxidant($batch, true)])
                : implode('; ', array_map($this->herb(...), $plan->herbsInIt())),
            'oil' => $inci
                ? ''
                : 'in '.
                    implode(', ', [
                        ...array_map(
                            fn (PlannedOil $oil) => $oil->name.
                                (count($oils) > 1
                                    ? ' '.
                                        round(
                                            ($grams[$oil->id] /
                                                array_sum(array_intersect_key($grams, array_flip(array_column($oils, 'id'))))) *
                                                100,
                                        ).
                                        ' %'
                                    : ''),
                            $oils,
                        ),
                        ...self::antioxidant($batch, false),
                    ]),
            'days' => $this->days($batch),
            'for' => 'For '.$this->planning->cupboard()->purpose($batch->purpose)->name,
            'keep' => $batch->use_by === null
                    ? ($batch->storedAs()->place === 'fridge' ? 'Keep in the refrigerator. Smell it' : 'Keep cool and dark. Smell it').
                        ($kitchen ? '' : ', and try a little,').
                        ' before use.'
                    : '',
            'ratio' => self::ratio($plan).', '.$plan->method->name,
            'origin' => $batch->origin === '' ? '' : 'From '.$batch->origin,
            'words' => LabelOf::said($batch->label, 'words', ''),
            'code' => $batch->code,
        ];
    }

    /** "Lemon thyme, leaf, dried and cut (Thymus citriodorus)" */
    private function herb(PlannedHerb $herb): string
    {
        $part = $herb->part === '' || str_contains($herb->name, $herb->part) ? '' : ', '.$herb->part;
        // The form begins with what it is of, which the part has said: "thin leaf, dried and cut"; powder stands alone.
        $form = explode(', ', $herb->formName, 2);
        $treated = $form[1] ?? ($form[0] !== '' && ! $herb->state->isWet() ? $form[0] : $herb->state->value);

        return ucfirst($herb->name).$part.', '.$treated.($herb->latin === '' ? '' : ' ('.$herb->latin.')');
    }

    /** @return list<string> what is in it, the most first: by the weight that went in, as food and cosmetic labels have it */
    private static function byWeight(FrozenPlan $plan): array
    {
        $grams = $plan->grams();
        $parts = [];
        foreach ($plan->oils as $oil) {
            $parts[] = [$grams[$oil->id], $oil->inci ?? ucfirst($oil->name)];
        }
        foreach ($plan->herbs as $i => $herb) {
            $parts[] = [$grams[$i], self::inci($herb)];
        }
        // What its oil was on before is in it too; how much of it nobody weighs here.
        foreach ($plan->base->herbs ?? [] as $herb) {
            $parts[] = [0.0, self::inci($herb)];
        }
        usort($parts, fn (array $a, array $b) => $b[0] <=> $a[0]);

        return array_column($parts, 1);
    }

    /** The ratio, so that it can be made again: of wet herb, whether its grams are as it lay or as if dry, and both. */
    private static function ratio(FrozenPlan $plan): string
    {
        if (! $plan->state->isWet()) {
            return $plan->ratio;
        }
        $state = $plan->state->value;
        $herb = $plan->figureOrNull('herb_mass') ?? 0.0;
        if ($plan->basis === Sizing::AS_IT_LIES || $herb <= 0) {
            return "{$plan->ratio}, {$state} as it lay";
        }

        return sprintf(
            '%s as if dry (1:%s %s, as it lay)',
            $plan->ratio,
            round(($plan->figureOrNull('oil_volume') ?? 0.0) / $herb, 1),
            $state,
        );
    }

    /** "Calendula Officinalis Flower Extract" */
    private static function inci(PlannedHerb $herb): string
    {
        return $herb->latin === ''
            ? ucfirst($herb->name)
            : mb_convert_case($herb->latin, MB_CASE_TITLE).' '.(self::INCI_PARTS[$herb->part] ?? ucfirst($herb->part)).' Extract';
    }

    /** @return list<string> */
    private static function antioxidant(Batch $batch, bool $inci): array
    {
        return match ($batch->storedAs()->antioxidant) {
            'vitamin-e' => [$inci ? 'Tocopherol' : 'vitamin E'],
            'rosemary' => [$inci ? 'Rosmarinus Officinalis Leaf Extract' : 'rosemary extract'],
            default => [],
        };
    }

    private function days(Batch $batch): string
    {
        return implode(
            ', ',
            array_filter([
                'Made '.$this->times->date($batch->filled_at ?? $batch->start_at),
                $batch->strained_at === null
                    ? 'strain by '.$this->times->date($batch->strain_at)
                    : 'strained '.$this->times->date($batch->strained_at),
                $batch->bottled_at === null ? '' : 'bottled '.$this->times->date($batch->bottled_at),
            ]),
        );
    }
}
