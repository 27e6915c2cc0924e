<?php

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** The one page that every address of the interface opens. */
final class PageController extends Controller
{
    /** The file of the letter that nearly all is written in, and of that of the Bench's sentence. */
    private const TEXT_FONT = 'hyperlegible-next-latin-wght-normal';

    private const SENTENCE_FONT = 'besley-latin-wght-normal';

    /** What each place asks for first, `*` being the name of what is looked at: asked beside the script, and not after it. */
    private const ASKS = [
        'today' => ['/today'],
        'bench' => ['', '/materials'],
        'boil' => ['/materials'],
        'recipes' => ['/recipes'],
        'recipes/*' => ['/recipes/*'],
        'shelf' => ['/shelf'],
        'batch/*' => ['/batches/*'],
        'press' => ['/press'],
        'melt' => ['/melt', '/makings', '/wanted'],
        'making/*' => ['/makings/*'],
        'stove' => ['/stove'],
        'stove/*' => ['/stove/*'],
        'diary' => ['/diary'],
        'stores/*' => ['/lots/*'],
        'house' => ['', '/people', '/materials'],
    ];

    /** @var array<string, array{file: string, css?: list<string>, assets?: list<string>, imports?: list<string>}>|null */
    private static ?array $manifest = null;

    public function __invoke(Request $request, DoorController $door): View
    {
        $entry = $this->manifest()['web/main.tsx'] ?? abort(503);

        return view('page', [
            'nonce' => $request->attributes->get('nonce'),
            'script' => $entry['file'],
            'styles' => $entry['css'] ?? [],
            // Fetched beside the script, so that text is not set in another letter first and then moves.
            'fonts' => array_filter(
                $entry['assets'] ?? [],
                fn (string $file) => str_contains($file, self::TEXT_FONT) ||
                    (in_array($request->segment(3), ['bench', 'melt'], true) && str_contains($file, self::SENTENCE_FONT)),
            ),
            'preloads' => array_values(array_diff($this->scripts(['web/main.tsx', $this->place($request)]), [$entry['file']])),
            'asks' => $this->asks($request),
            // Who is signed in is asked for by every place; said here, nothing waits for it.
            'me' => $door->me($request),
        ]);
    }

    /** The part of the interface that an address opens, so that it is fetched beside the rest and not after it. */
    private function place(Request $request): string
    {
        $place = $request->segment(1) === 'h' ? (string) $request->segment(3) : 'door';
        $name = ucfirst($place);
        foreach (["web/{$place}/{$name}.tsx", "web/{$place}/{$name}Page.tsx"] as $key) {
            if (isset($this->manifest()[$key])) {
                return $key;
            }
        }

        return '';
    }

    /** @return list<string> what the address asks for first */
    private function asks(Request $request): array
    {
        if ($request->user() === null || $request->segment(1) !== 'h' || $request->segment(5) !== null) {
            return [];
        }
        $house = rawurlencode((string) $request->segment(2));
        $place = (string) $request->segment(3);
        $what = (string) $request->segment(4);
        $known = self::ASKS[$what === '' ? $place : (Str::isUlid($what) ? "{$place}/*" : '')] ?? [];

        return array_map(fn (string $path) => "/api/houses/{$house}".str_replace('*', $what, $path), $known);
    }

    /**
     * @param  list<string>  $keys of the manifest
     * @return list<string> their files and those they import, each once
     */
    private function scripts(array $keys): array
    {
        $files = [];
        while (($key = array_shift($keys)) !== null) {
            $each = $this->manifest()[$key] ?? null;
            if ($each !== null && ! in_array($each['file'], $files, true)) {
                $files[] = $each['file'];
                $keys = [...$keys, ...$each['imports'] ?? []];
            }
        }

        return $files;
    }

    /** @return array<string, array{file: string, css?: list<string>, assets?: list<string>, imports?: list<string>}> */
    private function manifest(): array
    {
        if (self::$manifest === null) {
            $text = @file_get_contents(public_path('build/.vite/manifest.json'));
            $read = $text === false ? [] : json_decode($text, true);
            /** @var array<string, array{file: string, css?: list<string>, assets?: list<string>, imports?: list<string>}> $read */
            self::$manifest = $read;
        }

        return self::$manifest;
    }
}
