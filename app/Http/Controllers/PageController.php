<?php

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The one page that every address of the interface opens. */
final class PageController extends Controller
{
    /** The file of the letter that nearly all is written in. */
    private const TEXT_FONT = 'hyperlegible-next-latin-wght-normal';

    /** @var array<string, array{file: string, css?: list<string>, assets?: list<string>, imports?: list<string>}>|null */
    private static ?array $manifest = null;

    public function __invoke(Request $request): View
    {
        $entry = $this->manifest()['web/main.tsx'] ?? abort(503);

        return view('page', [
            'nonce' => $request->attributes->get('nonce'),
            'script' => $entry['file'],
            'styles' => $entry['css'] ?? [],
            // Fetched beside the script, so that text is not set in another letter first and then moves.
            'fonts' => array_filter($entry['assets'] ?? [], fn (string $file) => str_contains($file, self::TEXT_FONT)),
            'preloads' => array_map(fn (string $key) => $this->manifest()[$key]['file'], $entry['imports'] ?? []),
        ]);
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
