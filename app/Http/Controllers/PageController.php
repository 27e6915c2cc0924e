<?php

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The one page that every address of the interface opens. */
final class PageController extends Controller
{
    /** The file of the letters that nearly all is written in, and of those of the Bench's sentence and of what is said at the door. */
    private const TEXT_FONT = 'hyperlegible-next-latin-wght-normal';

    private const SENTENCE_FONT = 'besley-latin-wght-normal';

    /** @var list<array{address: string, script: string, asks: list<string>}>|null */
    private static ?array $places = null;

    /** @var array<string, array{file: string, css?: list<string>, assets?: list<string>, imports?: list<string>}>|null */
    private static ?array $manifest = null;

    public function __invoke(Request $request, DoorController $door): View
    {
        $entry = $this->manifest()['web/main.tsx'] ?? abort(503);

        [$place, $asks] = $this->place($request);

        return view('page', [
            'nonce' => $request->attributes->get('nonce'),
            'script' => $entry['file'],
            'styles' => $entry['css'] ?? [],
            // Fetched beside the script, so that text is not set in another letter first and then moves.
            'fonts' => array_filter(
                $entry['assets'] ?? [],
                fn (string $file) => str_contains($file, self::TEXT_FONT) ||
                    (($request->segment(1) !== 'h' || in_array($request->segment(3), ['bench', 'melt'], true)) &&
                        str_contains($file, self::SENTENCE_FONT)),
            ),
            'preloads' => array_values(array_diff($this->scripts(['web/main.tsx', $place]), [$entry['file']])),
            'asks' => $asks,
            // Who is signed in is asked for by every place; said here, nothing waits for it.
            'me' => $door->me($request),
        ]);
    }

    /**
     * The part of the interface that an address of a house opens, and what it asks for first, so that both are fetched beside the
     * rest and not after it: web/places.json, by which the interface itself finds its way.
     *
     * @return array{string, list<string>} its script, as the manifest has it, and addresses of the API
     */
    private function place(Request $request): array
    {
        /** @var list<string> $segments */
        $segments = $request->segments();
        if (array_shift($segments) !== 'h') {
            return ['web/door/Door.tsx', []];
        }
        $house = (string) array_shift($segments);
        foreach ($this->places() as ['address' => $address, 'script' => $script, 'asks' => $asks]) {
            $with = [];
            foreach (array_map(null, explode('/', $address), $segments) as [$part, $segment]) {
                if ($part === null || $segment === null || ($part[0] !== ':' && $part !== $segment)) {
                    continue 2;
                }
                $with += $part[0] === ':' ? [$part => rawurlencode($segment)] : [];
            }
            $about = fn (string $path): string => '/api/houses/'.rawurlencode($house).strtr($path, $with);

            return ["web/{$script}.tsx", $request->user() === null ? [] : array_map($about, $asks)];
        }

        return ['', []];
    }

    /** @return list<array{address: string, script: string, asks: list<string>}> */
    private function places(): array
    {
        /** @var list<array{address: string, script: string, asks: list<string>}> $read */
        $read = self::$places ?? json_decode((string) file_get_contents(base_path('web/places.json')), true);

        return self::$places = $read;
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
