<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;
use Kettle\Material\Herb;
use Kettle\Material\Names;

/** The herbs of the tables and of a house by what they are called within other words: the longest name that stands there. */
final class HerbNames
{
    private const PART =
        'roots?|leaf|leaves|flowers?|petals?|blossoms?|buds?|barks?|berr(?:y|ies)|seeds?|peels?|tips|needles?'.
        '|resin|fruit|calyx|nib|herb|hips?';

    /** Names that are as often something else: a nut, a fruit, the drink. */
    private const ALSO_OTHERS = ['rose', 'lemon', 'lime', 'orange', 'walnut', 'castor', 'tea', 'mustard', 'celery', 'pine', 'sage'];

    /** @var list<array{string, Herb|string}>|null the longest first, in small letters; of another such plant, what it is called */
    private ?array $names = null;

    private ?string $balms = null;

    public function __construct(private readonly Cupboard $cupboard) {}

    /**
     * @return array{herb: Herb|string, by: string, text: string}|null the name that stands in the text, and the text, in small
     *     letters; of another plant than the tables have, what it is called
     */
    public function in(string $text): ?array
    {
        $plain = self::plain(Names::withoutPoints($text));
        foreach ($this->names ??= $this->all() as [$name, $herb]) {
            // Most names are nowhere in it, which is seen sooner without their bounds.
            if (str_contains($plain, $name) && preg_match('/\b'.preg_quote($name, '/').'(?:e?s)?\b/u', $plain) === 1) {
                return ['herb' => $herb, 'by' => $name, 'text' => $plain];
            }
        }

        return null;
    }

    /** A pattern of those that are called a balm, as lemon balm is. */
    public function balms(): string
    {
        if ($this->balms === null) {
            $balms = [];
            foreach ($this->names ??= $this->all() as [$name]) {
                preg_match('/\s(?:salve|balm|ointment)$|^(?:salve|balm|ointment)\s/u', $name) === 1 && ($balms[] = preg_quote($name, '/'));
            }
            $this->balms = $balms === [] ? '/(?!)/' : '/\b(?:'.implode('|', $balms).')\b/iu';
        }

        return $this->balms;
    }

    /** @return list<array{string, Herb|string}> */
    private function all(): array
    {
        $names = [];
        foreach ($this->cupboard->herbs() as $herb) {
            $full = self::plain($herb->name);
            // "marshmallow" is the root of it; "white" and "ground" are words of many plants, and of none.
            $short = preg_replace('/ ('.self::PART.')$/', '', $full) ?? $full;
            $its = [
                ...array_map(self::plain(...), $herb->also),
                $full,
                mb_strtolower($herb->latin),
                in_array($short, self::ALSO_OTHERS, true) ? $full : $short,
            ];
            foreach ($its as $name) {
                $name === '' || ($names[] = [$name, $herb]);
            }
        }
        // A house that has entered such a plant as its own knows it.
        foreach ($this->cupboard->namesakes() as $name) {
            $names[] = [self::plain($name), $name];
        }
        usort($names, fn (array $a, array $b) => mb_strlen($b[0]) <=> mb_strlen($a[0]));

        return $names;
    }

    private static function plain(string $name): string
    {
        return mb_strtolower(str_replace(['’', "'"], '', $name));
    }
}
