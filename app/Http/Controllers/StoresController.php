<?php

namespace App\Http\Controllers;

use App\Actions\Stores\CheckLot;
use App\Actions\Stores\CsvPreview;
use App\Actions\Stores\LotsCsv;
use App\Actions\Stores\SaveLot;
use App\Http\Requests;
use App\Models\Lot;
use App\Models\Tally;
use App\OpenApi\Operation;
use App\Pages\Stores\LotLinesPage;
use App\Pages\Stores\StoresPresenter;
use App\Responses\Stores\LotDetail;
use App\Responses\Stores\LotKindTab;
use App\Responses\Stores\LotsAdded;
use App\Responses\Stores\ReadLots;
use App\Responses\Stores\StoresPage;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Kettle\Stores\LotKind;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What is in the cupboard, lot by lot. */
final class StoresController extends Controller
{
    private const PAGE = 40;

    private const NAMES = [
        'herb' => 'Herbs',
        'carrier' => 'Oils',
        'wax' => 'Waxes and butters',
        'jar' => 'Jars',
        'bottle' => 'Bottles',
        'scent' => 'Essential oils',
        'addition' => 'Additions',
        'tin' => 'Tins',
    ];

    public function __construct(private readonly StoresPresenter $words, private readonly SaveLot $keep) {}

    #[
        Operation(
            'A page of Stores',
            query: [
                'kind' => ['herb', 'carrier', 'wax', 'scent', 'addition', 'jar', 'bottle', 'tin'],
                'q',
                'page' => '^[1-9]\d{0,3}$',
                'used' => ['0', '1'],
            ],
        ),
    ]
    public function index(Request $request): StoresPage
    {
        $kind = LotKind::tryFrom($this->asked($request, 'kind'));
        $asked = mb_substr(trim($this->asked($request, 'q')), 0, 80);
        $page = max(1, (int) $this->asked($request, 'page'));
        $used = $this->asked($request, 'used') === '1';
        $counts = Tally::of('lots');
        $query = Lot::query()
            ->when($kind !== null, fn (Builder $lots) => $lots->where('kind', $kind))
            ->when(! $used, fn (Builder $lots) => $lots->where('holds', true))
            // The database takes another, that has what is used up as well.
            ->when(! $used && $asked === '' && $kind !== null, fn (Builder $lots) => $lots->forceIndex('lots_listed'))
            ->when(
                $asked !== '',
                fn (Builder $lots) => $lots->where(
                    fn (Builder $any) => $any
                        ->where('called', 'like', '%'.addcslashes($asked, '%_\\').'%')
                        ->orWhere('got_where', 'like', '%'.addcslashes($asked, '%_\\').'%'),
                ),
            );
        // What the tabs say is counted once.
        $total = match (true) {
            $used || $asked !== '' => $query->count(),
            $kind === null => array_sum($counts),
            default => $counts[$kind->value] ?? 0,
        };
        $lots = $query->orderBy('called')->orderBy('best_before')->orderBy('id')->forPage($page, self::PAGE)->get();

        return new StoresPage(
            array_map(fn (string $id, string $name) => new LotKindTab($id, $name, $counts[$id] ?? 0), array_keys(self::NAMES), self::NAMES),
            array_values($lots->map($this->words->view(...))->all()),
            $total,
            $page,
            max(1, (int) ceil($total / self::PAGE)),
        );
    }

    #[Operation('A lot')]
    public function show(Lot $lot): LotDetail
    {
        return $this->lot($lot);
    }

    #[Operation('Take a lot into Stores')]
    public function add(Requests\AddLot $form): LotDetail
    {
        return $this->lot($this->keep->add((array) $form->input('lot')));
    }

    #[Operation('What lines say of lots; nothing is kept')]
    public function read(Requests\ReadLotLines $form, LotLinesPage $page): ReadLots
    {
        return $page->read($form->string('lines')->toString());
    }

    #[Operation('Take several lots into Stores, all of them or none')]
    public function addMany(Requests\AddLots $form): LotsAdded
    {
        $lots = $this->keep->addMany(array_map(fn (mixed $lot): array => (array) $lot, array_values((array) $form->input('lots'))));

        return new LotsAdded(array_map($this->words->view(...), $lots));
    }

    #[Operation('Change what is known of a lot')]
    public function edit(Requests\EditLot $form, Lot $lot): LotDetail
    {
        return $this->lot($this->keep->edit($lot, (array) $form->input('lot'), $form->integer('version')));
    }

    #[Operation('Take a lot out of Stores; the batches made from it still know it')]
    public function remove(Lot $lot): Response
    {
        $lot->delete();

        return $this->nothing();
    }

    #[Operation('Say how much is left')]
    public function count(Requests\CountLot $form, Lot $lot): LotDetail
    {
        return $this->lot($this->keep->count($lot, $form->string('amount')->toString(), $form->string('note')->trim()->toString()));
    }

    #[Operation('Check how it smells and looks')]
    public function check(Requests\CheckLot $form, Lot $lot, CheckLot $check): LotDetail
    {
        return $this->lot($check($lot, (array) $form->input('answers')));
    }

    #[Operation('Stores as CSV', gives: 'text/csv')]
    public function csv(LotsCsv $csv): StreamedResponse
    {
        return new StreamedResponse($csv->write(...), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="stores.csv"',
        ]);
    }

    #[Operation('Take CSV into Stores, or only say what it would do')]
    public function takeCsv(Requests\ReadCsv $form, LotsCsv $csv): CsvPreview
    {
        return $csv->read($form->bytes(), $form->boolean('do'));
    }

    private function lot(Lot $lot): LotDetail
    {
        return $this->words->detail($lot);
    }
}
