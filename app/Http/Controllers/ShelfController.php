<?php

namespace App\Http\Controllers;

use App\OpenApi\Operation;
use App\Pages\Shelf\ShelfPage;
use App\Responses\Press\PressList;
use App\Responses\Shelf\FoundList;
use App\Responses\Shelf\Shelf;
use Illuminate\Http\Request;

/** Every jar, a page of each board at a time; what wants the press; and the find box. */
final class ShelfController extends Controller
{
    public function __construct(private readonly ShelfPage $page) {}

    #[Operation('Every jar', query: ['part' => ['steeping', 'resting', 'bottled'], 'after'])]
    public function show(Request $request): Shelf
    {
        return $this->page->boards($this->asked($request, 'part'), $this->asked($request, 'after'));
    }

    #[Operation('What wants the press')]
    public function press(): PressList
    {
        return $this->page->press();
    }

    #[Operation('Find a jar or a plant', query: ['q'])]
    public function find(Request $request): FoundList
    {
        return $this->page->find($this->asked($request, 'q'));
    }
}
