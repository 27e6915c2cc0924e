<?php

namespace App\Http\Controllers;

use App\OpenApi\Reads;
use App\Pages\Shelf\ShelfPage;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Every jar, a page of each board at a time; what wants the press; and the find box. */
final class ShelfController extends Controller
{
    public function __construct(private readonly ShelfPage $page) {}

    #[Reads('/houses/{house}/shelf', 'Shelf', 'Every jar', ['part', 'after'])]
    public function show(Request $request): JsonResponse
    {
        return $this->json($this->page->boards($this->asked($request, 'part'), $this->asked($request, 'after')));
    }

    #[Reads('/houses/{house}/press', 'PressList', 'What wants the press')]
    public function press(): JsonResponse
    {
        return $this->json($this->page->press());
    }

    #[Reads('/houses/{house}/find', 'FoundList', 'Find a jar or a plant', ['q'])]
    public function find(Request $request): JsonResponse
    {
        return $this->json($this->page->find($this->asked($request, 'q')));
    }
}
