<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Recipe\ByJar;
use Kettle\Recipe\Kitchen;

/** The lines of a recipe that fill a jar, or say which jar it is. */
final readonly class RecipeJar
{
    /** "A pint jar", "a pint jar with a tight lid": what a line ends with that may say which jar it is. */
    public const ALONE = '/\bjars?(?:\s+(?:with|and)\s+(?:an?\s+|its\s+)?(?:[\p{L}-]+\s+){0,3}(?:lid|top|cap|cover)s?)?\W*$/iu';

    public function __construct(private JarLine $line, private RecipeWords $words, private Kitchen $kitchen) {}

    /**
     * "A jar half full of dried petals", "cover with oil by an inch": false where a line says nothing like it.
     *
     * @param  \Closure(string): array{array<string, string>|null, string, list<string>}  $herbOf as HerbLine has it
     */
    public function filled(string $line, GatheredRecipe $got, \Closure $herbOf): bool
    {
        $read = $this->line->read($line, array_column($got->oils, 'id'));
        if ($read === null) {
            return false;
        }
        ['by_jar' => $byJar, 'cover' => $cover, 'oil' => $oil] = $read;
        $again = isset($byJar['fill'], $got->byJar['fill']);
        $got->byJar += $byJar + ($cover === null ? [] : ['cover' => $cover]);
        $got->jar = $got->jar ?: $read['jar'];
        $herb = $read['herb'] === null ? null : $herbOf($read['herb']);
        if ($oil !== null) {
            $got->unmeasured($oil);
        }
        if (isset($herb[0])) {
            $got->put($herb[0] + ($read['amount'] === null ? [] : ['amount' => $read['amount']]));
        }
        $said = array_filter([
            $herb === null ? '' : implode(', ', array_filter([$herb[1], $herb[0]['state'] ?? '', $read['amount']])),
            $oil === null ? '' : $oil['name'],
            isset($byJar['fill']) ? 'a jar '.ByJar::SAID[$byJar['fill']] : '',
            $again ? 'the jar is filled as the first line says' : '',
            ($byJar['cover'] ?? $cover) === ByJar::BRIM ? 'to the brim' : (isset($cover) ? "covered by {$cover}" : ''),
        ]);
        $says = ucfirst(implode('; ', $said)).GatheredRecipe::guessed($herb[2] ?? []);
        $got->say($line, $herb !== null ? 'herb' : ($oil !== null ? 'oil' : 'step'), $says, $again || ($herb[2] ?? []) !== []);

        return true;
    }

    /** "Take a clean quart jar.", "Place the herbs in a pint jar": which jar it is; false where a line says nothing like it, or more. */
    public function named(string $line, GatheredRecipe $got): bool
    {
        // What it is strained into is another; what the herb goes into is not.
        $herbsInto =
            '/\b(?:herbs?|flowers?|petals?|blossoms?|leaves|roots?|plants?|'.
            '(?:put|place|pack|tip|pop|stuff|pile)(?:\s+\p{L}+){0,3})\s+into\b/iu';
        $other =
            '/\b(?:strain|filter|decant|bottle|label|stor(?:e|ing|age)|keep'.
            (preg_match($herbsInto, $line) === 1 ? '' : '|into').
            ')/iu';
        if ($got->jar !== [] || preg_match($other, $line) === 1) {
            return false;
        }
        [$got->jar, $none] = $this->line->jar($line);
        $more = WayWords::isSaid($line) || $this->words->oil($line) !== null || $this->words->knownHerb($line) !== null;
        if ($more || ($got->jar === [] && $none === null)) {
            return false;
        }
        $says = isset($got->jar['jar'])
            ? ucfirst($this->kitchen->jar($got->jar['jar'])->called ?? 'jar').'.'
            : SaidAmount::noJar((string) $none);
        $got->say($line, 'step', $says, $none !== null);

        return true;
    }
}
