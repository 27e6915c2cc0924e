<?php

namespace App\Http\Controllers;

use App\Actions\Melt\ProductHouse;
use App\House\KitchenFactory;
use App\Http\Requests\Mend;
use App\Http\Requests\ReadRecipe;
use App\Http\Requests\ReckonProduct;
use App\OpenApi\Operation;
use App\Pages\Melt\MeltPage;
use App\Responses\Melt\MeltChoices;
use App\Responses\Melt\MendView;
use App\Responses\Melt\ReadProductView;
use App\Responses\Recipes\ReadLine;
use Illuminate\Http\JsonResponse;
use Kettle\Ask\MeltQuestions;
use Kettle\Material\Tables;
use Kettle\Melt\Melting;
use Kettle\Melt\MeltTable;
use Kettle\Melt\ProductDocument;
use Kettle\Recipe\Planning;
use Kettle\Share\ListedProduct;

/** A product wished for, amounts out. */
final class MeltController extends Controller
{
    #[Operation('What the Melt can choose from')]
    public function show(MeltPage $page): MeltChoices
    {
        return $page->choices();
    }

    #[Operation('Reckon a product', gives: 'Product')]
    public function reckon(ReckonProduct $form, ProductHouse $houses, Tables $tables, Planning $planning): JsonResponse
    {
        $house = $houses->of($form->wish());
        $plan = (new Melting($tables))->plan($form->wish(), $house);

        return new JsonResponse(
            (new ProductDocument($planning, $house->kitchen, MeltTable::of($tables)))->of($plan),
            options: JSON_UNESCAPED_UNICODE,
        );
    }

    #[Operation('Read a product written as plain lines')]
    public function read(ReadRecipe $form, KitchenFactory $kitchens, Planning $planning): ReadProductView
    {
        $read = (new ListedProduct($planning->cupboard(), $kitchens->plain()))->read($form->string('text')->toString());

        return new ReadProductView(
            $read->name,
            $read->wish,
            array_map(fn (array $line) => new ReadLine(...$line), $read->lines),
            $read->notes,
        );
    }

    #[Operation('Mend a pot that is too soft or too hard')]
    public function mend(Mend $form, KitchenFactory $kitchens, Planning $planning, Tables $tables): MendView
    {
        $mended = (new MeltQuestions($planning, $tables, $kitchens->plain()))->mend(
            array_filter($form->validated(), fn (mixed $each) => $each !== null),
        );

        return new MendView(...$mended);
    }
}
