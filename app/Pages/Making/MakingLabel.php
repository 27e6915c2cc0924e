<?php

namespace App\Pages\Making;

use App\Actions\Melt\BottledOils;
use App\Actions\Melt\MakingDocument;
use App\Actions\Melt\MakingRecords;
use App\House\KitchenFactory;
use App\House\Times;
use App\Labels\LabelLayout;
use App\Models\Batch;
use App\Models\Boil;
use App\Models\Making;
use App\Models\Tin;
use App\Pages\Press\LabelOf;
use App\Responses\Batch\CautionView;
use Kettle\Batch\Stored;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\Said;

/** What a tin's label says: what it is, all that is in it by weight, from which batch, until when, and what must be heeded. */
final readonly class MakingLabel
{
    /** Fields in the order of their weight, and whether they are on where nobody chose. */
    public const FIELDS = [
        'title' => ['what it is', true],
        'net' => ['net weight and number', true],
        'best_before' => ['best before', true],
        'cautions' => ['cautions', true],
        'herb' => ['ingredients', true],
        'for' => ['what it is for', true],
        'keep' => ['how to keep it', true],
        'days' => ['days', true],
        'origin' => ['from which oil', true],
        'words' => ['your own line', true],
        'code' => ['batch code and 2D code', true],
    ];

    private const GRAMS_AN_OUNCE = 28.349523125;

    public function __construct(
        private MakingRecords $records,
        private MakingDocument $documents,
        private KitchenFactory $kitchens,
        private Times $times,
    ) {}

    public function of(Making $making): LabelOf
    {
        $tins = $making->rows()->where('state', 'in')->orderBy('number')->get();
        $first = $tins->first();
        $heaviest = $tins->sortByDesc(fn (Tin $tin) => (float) $tin->grams)->first();
        $last = $tins->last();

        return new LabelOf(
            self::FIELDS,
            $this->texts($making),
            $making->label,
            $this->cautions($making),
            $making->plan->eaten ? 'kitchen' : 'skin',
            false,
            $tins->count(),
            $first === null ? '' : self::net($first),
            $heaviest === null ? '' : self::weight((float) $heaviest->grams).'  no. '.($last->number ?? 1),
            $making->version,
        );
    }

    /** "26 g (0.9 oz)  no. 3" */
    public static function net(Tin $tin): string
    {
        return self::weight((float) $tin->grams).'  no. '.$tin->number;
    }

    private static function weight(float $grams): string
    {
        return AmountWriter::plain($grams, Kind::Mass).sprintf(' (%s oz)', round($grams / self::GRAMS_AN_OUNCE, $grams < 280 ? 1 : 0));
    }

    /** @return array<string, string> by field */
    private function texts(Making $making): array
    {
        $words = $this->kitchens->words();
        $inside = $this->records->state($making)->ingredients();
        $labels = (new Stored($making->plan->document))->parts('labels');
        $short = fn (bool $must): string => implode(
            ' ',
            array_map(
                fn (Stored $each) => $words->of($each->said('says')),
                array_values(array_filter($labels, fn (Stored $each) => $each->flag('must') === $must)),
            ),
        );
        $names =
            LabelOf::said($making->label, 'names', 'cook') === 'inci'
                ? $inside->inci()
                : array_map(fn (mixed $name) => $words->thing($name instanceof Said ? $name->toArray() : $name), $inside->cook());

        $from = [
            ...$making->batches->map(fn (Batch $batch) => $words->thing(BottledOils::said($batch)).' ('.$batch->code.')')->all(),
            ...$making->boils->map(fn (Boil $boil) => lcfirst($boil->name).' ('.$boil->code.')')->all(),
        ];

        return [
            'title' => $making->name,
            'net' => '',
            // Of what is in it now, mended or not.
            LabelLayout::MUST => trim(
                ($inside->allergens === [] ? '' : 'Contains '.implode(', ', $inside->allergens).'. ').$short(true),
            ),
            'best_before' => 'Best before '.$this->times->date($making->goodUntil()),
            'cautions' => $short(false),
            'herb' => 'Ingredients: '.implode(', ', $names),
            'for' => $making->plan->eaten ? 'To be eaten' : 'For the skin',
            'keep' => 'Keep cool and dark. Smell it before use.',
            'days' => $making->poured_at === null ? '' : 'Made '.$this->times->date($making->poured_at),
            'origin' => $from === [] ? '' : 'From '.implode(', ', $from),
            'words' => LabelOf::said($making->label, 'words', ''),
            'code' => $making->code,
        ];
    }

    /** @return list<CautionView> as they were read when it was begun */
    private function cautions(Making $making): array
    {
        $told = new Stored($this->documents->told($making->plan->document));

        return array_map(
            fn (Stored $note) => new CautionView(
                $note->text('id'),
                $note->oneOf('rank', ['stop', 'care', 'note'], 'note'),
                ['melt', 'label'],
                $note->text('says'),
                $note->text('why'),
                $note->text('source'),
                $note->flag('acknowledge'),
                null,
            ),
            $told->parts('cautions'),
        );
    }
}
