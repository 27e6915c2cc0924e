<?php

namespace App\Http\Controllers;

use App\Actions\Clash;
use App\Http\Requests;
use App\Models\AlmanacNote;
use App\OpenApi\Operation;
use App\Pages\Almanac\AlmanacPresenter;
use App\Responses\Almanac\AlmanacList;
use App\Responses\Almanac\AlmanacPage;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\Request;

/** Plants, oils, methods, cautions and faults, with their sources and the house's own notes. */
final class AlmanacController extends Controller
{
    public function __construct(private readonly AlmanacPresenter $words) {}

    #[Operation('All of one kind', query: ['kind' => AlmanacPresenter::KINDS, 'q'])]
    public function index(Request $request): AlmanacList
    {
        $kind = $this->asked($request, 'kind');

        return new AlmanacList($this->words->list($kind === '' ? 'plant' : $kind, mb_substr(trim($this->asked($request, 'q')), 0, 60)));
    }

    #[Operation('A thing in the Almanac')]
    public function show(string $kind, string $key): AlmanacPage
    {
        return $this->words->page($kind, $key);
    }

    #[Operation('Write the house’s own note about it')]
    public function note(Requests\WriteAlmanacNote $form, string $kind, string $key): AlmanacPage
    {
        // That there is such a thing is found out first.
        $this->words->page($kind, $key);
        $version = $form->integer('version');
        $values = ['note' => $form->string('note')->trim()->toString(), 'by' => $this->user($form)->name];
        $known = AlmanacNote::query()->where('kind', $kind)->where('key', $key);
        if ($version === 0 && ! $known->clone()->exists()) {
            try {
                AlmanacNote::query()->create(['kind' => $kind, 'key' => $key, ...$values, 'version' => 1]);
            } catch (UniqueConstraintViolationException) {
                $this->clash();
            }
        } elseif ($known->where('version', $version)->update([...$values, 'version' => $version + 1]) === 0) {
            $this->clash();
        }

        return $this->words->page($kind, $key);
    }

    private function clash(): never
    {
        throw new Clash('Somebody wrote here meanwhile. What stands now is shown; enter yours again.', []);
    }
}
