<?php

namespace App\Http\Controllers;

use App\Http\AskedException;
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
        [$part, $after] = [$this->asked($request, 'part'), $this->asked($request, 'after')];
        $after === '' || $this->page->isMark($part, $after) || throw AskedException::unreadable('after');

        return $this->page->boards($part, $after);
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
