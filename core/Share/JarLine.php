<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Measure\Kind;

/** A line of a recipe that fills a jar: "a jar half full of dried petals", "cover with oil by an inch". */
final readonly class JarLine
{
    private const APART = '/\s*(?:[;,]|\bwith\b|\b(?:and|then)\s+(?=(?:cover|top|fill|pour|add)\b))\s*/iu';

    public function __construct(private SaidAmount $amount, private RecipeWords $words) {}

    /**
     * @param  list<string>  $there ids of the oils that were named before
     * @return array{by_jar: array<string, string>, cover: ?string, jar: array<string, string>, oil: ?array{id: string,
     *     name: string}, herb: ?string, amount: ?string}|null how full and how far covered, in which jar, the oil that is named first here,
     *     the words that name a herb, and what it weighs; null where a line says nothing like it
     */
    public function read(string $line, array $there): ?array
    {
        $left = new Remainder(preg_replace('/\bfill(?:ed)?\s+it\b/iu', 'fill the jar', SaidAmount::plainJars($line)) ?? $line);
        $cover = $this->amount->covers($left);
        // A spoon full of it is no jar.
        $byJar = preg_match('/\bjars?\b/iu', $left->text) === 1 ? $this->amount->byJar($left)['by_jar'] ?? [] : [];
        if ($byJar === [] && $cover === null) {
            return null;
        }
        $jar = $this->amount->whichJar($left);
        $oil = $herb = $amount = null;
        foreach (preg_split(self::APART, trim($left->text), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $piece) {
            [$read, $typed, $of] = $this->words->amounts->amount($piece);
            if ($read?->kind === Kind::Mass && $of === '') {
                $amount = $typed;

                continue;
            }
            $named = $this->words->oil($piece);
            $oil ??= $named === null || $named['id'] === '' || in_array($named['id'], $there, true) ? null : $named;
            $herb ??= $named === null && $this->words->namesHerb($piece) ? $piece : null;
        }

        return ['by_jar' => $byJar, 'cover' => $cover, 'jar' => $jar, 'oil' => $oil, 'herb' => $herb, 'amount' => $amount];
    }

    /** @return array{array{}|array{jar: string, jars?: string}, ?string} the jar of a size that is named, or the size that none has */
    public function jar(string $line): array
    {
        if (preg_match('/\bjars?\b/iu', $line) !== 1) {
            return [[], null];
        }
        $left = new Remainder(SaidAmount::plainJars($line));
        $this->amount->inFigures($left);
        $none = $this->amount->jarOfNoSize($left);
        $jar = $this->amount->whichJar($left);

        return [isset($jar['jar']) ? $jar : [], $none];
    }
}
