<?php

namespace App\Http\Controllers;

use App\Actions\Clash;
use App\Actions\Houses\ChangeSettings;
use App\Actions\Houses\ExportHouse;
use App\Actions\Houses\Imported;
use App\Actions\Houses\ImportHouse;
use App\House\KitchenFactory;
use App\Http\Requests;
use App\Models\BottleSize;
use App\Models\House;
use App\Models\Jar;
use App\Models\Tenancy\CurrentHouse;
use App\OpenApi\Operation;
use App\Pages\House\HousePage;
use App\Responses\House\HouseView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;
use Kettle\Vessel\Jar as CoreJar;
use Kettle\Vessel\Marks;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The house's settings, its jars and bottles, and everything out and in. */
final class HouseController extends Controller
{
    public function __construct(
        private readonly CurrentHouse $current,
        private readonly KitchenFactory $kitchens,
        private readonly HousePage $page,
    ) {}

    #[Operation('A house\'s settings')]
    public function show(): HouseView
    {
        return $this->page->view();
    }

    #[Operation('Change a house\'s settings')]
    public function edit(Requests\EditHouse $form, ChangeSettings $change): HouseView
    {
        /** @var array<string, mixed> $settings */
        $settings = $form->safe()->except('version');
        if (! $change($settings, $form->integer('version'))) {
            throw new Clash(
                'Somebody changed the house’s settings meanwhile. What stands now is shown; enter yours again where it differs.',
                (array) $this->page->view(),
            );
        }

        return $this->page->view();
    }

    #[Operation('Add a jar size')]
    public function addJar(Requests\AddJar $form): HouseView
    {
        $reader = $this->kitchens->plain()->measured();
        $read = fn (string $field, Kind $kind, string $unit): float => RefusedException::at(
            $field,
            fn () => $reader->read($form->string($field)->toString(), $kind, $unit)->value,
        );
        $jar = CoreJar::measured(
            '',
            $form->string('called')->trim()->toString(),
            $read('brim', Kind::Volume, 'mL'),
            $read('height', Kind::Length, 'mm'),
            $form->string('kind')->toString() ?: CoreJar::JAR,
            Marks::read($form->string('marks')->toString(), $reader),
        );
        Jar::query()->create([
            'uid' => Str::ulid()->toString(),
            'called' => $jar->called,
            'brim_ml' => $jar->brimMl,
            'height_mm' => $jar->heightMm,
            'kind' => $jar->kind,
            'marks' => $jar->marks->marks ?: null,
        ]);

        return $this->page->view();
    }

    #[Operation('Take a jar size off the list')]
    public function removeJar(string $jar): HouseView
    {
        $found = Jar::query()->where('uid', $jar)->first() ?? throw new NotFoundHttpException();
        $found->delete();

        return $this->page->view();
    }

    #[Operation('Add a bottle size')]
    public function addBottle(Requests\AddBottle $form): HouseView
    {
        $reader = $this->kitchens->plain()->measured();
        $ml = RefusedException::at(
            'capacity',
            fn () => $reader->within($form->string('capacity')->toString(), Kind::Volume, 'mL', 1, 5000)->value,
        );
        BottleSize::query()->create([
            'uid' => Str::ulid()->toString(),
            'called' => $form->string('called')->trim()->toString(),
            'capacity_ml' => $ml,
        ]);

        return $this->page->view();
    }

    #[Operation('Take a bottle size off the list')]
    public function removeBottle(string $bottle): HouseView
    {
        $found = BottleSize::query()->where('uid', $bottle)->first() ?? throw new NotFoundHttpException();
        $found->delete();

        return $this->page->view();
    }

    #[Operation('Everything of the house, as docs/formats/house.schema.json', gives: 'application/json')]
    public function export(ExportHouse $export): JsonResponse
    {
        $name = Str::slug($this->current->house()->name).'-'.Carbon::now()->format('Y-m-d').'.json';

        return new JsonResponse(
            $export(),
            200,
            [
                'Content-Disposition' => 'attachment; filename="'.$name.'"',
            ],
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT | JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    #[Operation('Take an exported house in; what is here already stays as it is')]
    public function import(Request $request, ImportHouse $import): Imported
    {
        return $import($request->getContent());
    }
}
