<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Methods;
use Kettle\Material\Counts;
use Kettle\Material\Cupboard;
use Kettle\Measure\Amount;
use Kettle\Measure\Kind;
use Kettle\Recipe\Kitchen;

/**
 * Reads a recipe written as plain lines ("1 cup oil, 3 tbsp dried flowers") into a wish, and says of
 * every line what was made of it and whether that was a guess.
 */
final class PastedRecipe
{
    private const MOST_LINES = 200;

    public const LONGEST = 300;

    private const ADDED_LATER = 'Goes into a salve or is added at the end; not part of the infusion.';

    private GatheredRecipe $got;

    private RecipeWay $way;

    private readonly RecipeWords $words;

    private readonly RecipeLines $recipe;

    private readonly RecipeTitle $title;

    private readonly RecipeText $text;

    private readonly Counts $counts;

    private readonly RecipeJar $jar;

    private readonly HerbLine $herbLine;

    private readonly OilLine $oilLine;

    public function __construct(private readonly Cupboard $cupboard, private readonly Methods $methods, private readonly Kitchen $kitchen)
    {
        $this->words = new RecipeWords($cupboard, $kitchen);
        $this->recipe = new RecipeLines($cupboard, $this->words);
        $this->title = new RecipeTitle($cupboard, $this->words, $this->recipe);
        $this->text = new RecipeText($cupboard, $this->words, $this->recipe);
        $this->counts = new Counts($cupboard->tables());
        $this->jar = new RecipeJar(new JarLine(new SaidAmount($kitchen, $this->words), $this->words), $this->words, $kitchen);
        $this->herbLine = new HerbLine($cupboard, $this->words, $this->counts);
        $this->oilLine = new OilLine($cupboard);
        $this->got = new GatheredRecipe();
        $this->way = $this->wayOf([]);
    }

    /**
     * @param  ?string  $called what it is called, where that is known already, so that no line of it is its name
     *
     * @throws RecipeException when neither a herb nor an oil is in it
     */
    public function read(string $text, ?string $called = null): ReadRecipe
    {
        $this->got = new GatheredRecipe();
        $name = '';
        [$lines, $shares] = RecipeShares::weighed($this->text->split($text), $text);
        $read = array_map(fn (string $line) => mb_substr($line, 0, self::LONGEST), array_slice($lines, 0, self::MOST_LINES));
        $this->way = $this->wayOf($read);
        $this->got->done = $this->recipe->stateByWhatIsDone($read);
        // What it is for counts for every line, wherever it stands.
        foreach ($lines as $line) {
            $this->got->purpose ??= preg_match('/^\s*[\d½¼¾⅓⅔]/u', $line) === 1 ? null : $this->words->purpose($line);
        }
        foreach ($lines as $i => $line) {
            if ($i >= self::MOST_LINES) {
                $this->got->say(
                    sprintf('… and %d more lines', count($lines) - $i),
                    'unread',
                    'Not read: it is too long. Read the rest by itself.',
                    false,
                );
                break;
            }
            if (mb_strlen($line) > self::LONGEST) {
                $this->got->say(mb_substr($line, self::LONGEST), 'unread', 'Not read: the line is too long.', false);
                $line = mb_substr($line, 0, self::LONGEST);
            }
            if ($i === 0 && $called === null && $this->title->is($line)) {
                $name = RecipeTitle::titleOf($line);
                $this->got->ratio = RecipeTitle::ratio($line, true);
                $purpose = $this->words->purpose($line);
                $also = [
                    ...$purpose === null ? [] : ['as what it is for: '.$this->cupboard->purpose($purpose)->name],
                    ...array_map(fn (string $way) => "as how it is made: {$way}", $this->way->beside($name)),
                ];
                $this->got->say($line, 'name', implode(', and ', ['Taken as its name', ...$also]).'.', $also !== []);

                continue;
            }
            [$full, $part] = $this->title->partInFull($line, $called ?? $name);
            $this->recipe->isHeading($line) ? $this->got->say($line, 'step', 'A heading.', false) : $this->line($full);
            $this->wayBeside($line);
            // As it was written, and not with its amount put first.
            $last = array_pop($this->got->lines);
            if ($last !== null) {
                $read = $this->recipe->asWritten($last, $line);
                $byName = $part === null || $read['as'] !== 'herb' ? null : sprintf(' By the name of the recipe it is %s.', $part);
                $this->got->lines[] = $byName === null ? $read : ['says' => $read['says'].$byName, 'guess' => true] + $read;
            }
        }
        if ($this->got->herbs === [] && $this->got->oils === []) {
            throw RecipeException::nothingFound();
        }
        $wish = new PastedWish(
            $this->cupboard,
            $this->methods,
            $this->kitchen,
            $this->got->herbs,
            $this->got->oils,
            $this->way,
            $this->got->purpose,
            $this->got->byJar,
            $this->got->jar,
            $this->got->oilParts,
            $this->got->ratio,
            WrittenShort::partsBy($text),
        );

        $notes = [...$shares === null ? [] : [$shares], ...$wish->looseEnds($text)];

        return new ReadRecipe($name, '', $wish->wish($notes), ToldAgain::asWritten($this->got->lines), $notes);
    }

    /** What is done stands beside what it is done with. */
    private function wayBeside(string $line): void
    {
        $last = array_key_last($this->got->lines);
        if ($last === null || ! in_array($this->got->lines[$last]['as'], ['herb', 'oil'], true)) {
            return;
        }
        $taken = $this->way->beside($line);
        if ($taken !== []) {
            $this->got->lines[$last]['says'] .= sprintf(' Taken as: %s.', implode(', ', $taken));
            $this->got->lines[$last]['guess'] = true;
        }
    }

    private function line(string $line): void
    {
        if (preg_match(RecipeJar::ALONE, $line) === 1 && ! $this->recipe->isStep($line) && $this->jar->named($line, $this->got)) {
            return;
        }
        $ratio = RecipeTitle::ratio($line, false);
        if ($ratio !== null) {
            $this->got->ratio ??= $ratio;
            $this->got->say($line, 'step', sprintf('Herb to oil: %s.', $ratio), false);

            return;
        }
        $isMore = preg_match('/^'.RecipeLines::MORE_OF_IT.'\b/iu', $line) === 1;
        $line = $this->recipe->amountFirst($line);
        [$amount, $typed, $rest, $aside] = $this->words->amounts->amount($line);
        if ($amount === null && $this->takeAsked($line)) {
            return;
        }
        $late = '/\b(bees?wax|wax|vitamin\s*e|essential\s+oils?)\b/i';
        if (preg_match($late, $amount === null ? $line : $rest) === 1 && ($amount !== null || mb_strlen($line) < 60)) {
            $this->got->say($line, 'unread', self::ADDED_LATER, false);

            return;
        }
        if ($amount !== null) {
            // What is counted by drops is no herb, whatever plant it is of.
            if (preg_match('/\b(?:drops?|gtt)$/i', $typed) === 1) {
                $this->got->say($line, 'unread', 'Drops are added at the end; not part of the infusion.', false);

                return;
            }
            // "250 mL olive" is the oil, and "1 cup olive" by a guess.
            $named = $this->words->oil($rest);
            $isHerb = $this->words->knownHerb($rest) !== null;
            $oil = $named ?? ($isHerb ? null : $this->oilLine->calledShort($rest));
            $same = $isMore ? $this->got->sameOil($oil) : null;
            if ($same !== null) {
                ['oil' => $this->got->oils[], 'says' => $says] = $this->oilLine->measured($amount, $typed, $same, $aside);
                $this->got->say($line, 'oil', "{$says} Taken as more of the same oil.", true);
            } elseif ($oil !== null && $this->isMadeHere($oil)) {
                $this->got->say($line, 'unread', 'The oil that is made here: what it goes into is no part of the infusion.', false);
            } elseif ($oil !== null) {
                ['oil' => $this->got->oils[], 'says' => $says, 'guess' => $guess] = $this->oilLine->measured($amount, $typed, $oil, $aside);
                $this->got->say($line, 'oil', $says, $guess || ($named === null && ! OilLine::isPoured($typed)));
            } elseif ($amount->kind === Kind::Time || $this->words->warmth($typed) !== null) {
                $this->step($line);
            } elseif ($this->words->isWater($rest)) {
                $this->got->say($line, 'unread', 'Water: not taken into the oil.', false);
            } elseif (MadeOf::is($rest)) {
                $this->got->say($line, 'unread', self::ADDED_LATER, false);
            } elseif (OilLine::isPoured($typed) && ! $isHerb) {
                $this->got->say(
                    $line,
                    'unread',
                    sprintf('“%s” is in no list, and nothing was made of it: choose it at the Bench.', $rest),
                    false,
                );
            } else {
                $this->got->herb($line, $this->herbLine->measured($amount, $typed, $rest, $aside, $this->got));
            }

            return;
        }
        if ($this->jar->filled($line, $this->got, $this->herbOf(...)) || $this->jar->named($line, $this->got)) {
            return;
        }
        $parts = $this->words->amounts->parts($line);
        if ($parts !== null) {
            $this->takeParts($line, ...$parts);

            return;
        }
        $count = $this->words->amounts->count($line);
        if ($count !== null && $this->recipe->isOfCounted($count[2])) {
            $this->got->herb($line, $this->herbLine->counted($count[0], $count[1], $count[2], $this->got));

            return;
        }
        if (
            WayWords::isSaid($line) ||
            $this->words->warmth($line) !== null ||
            preg_match('/\d+\s*(?:-|to)?\s*\d*\s*(weeks?|days?|hours?|hrs?|minutes?|mins?|h)\b/i', $line) === 1
        ) {
            $this->step($line);

            return;
        }
        $herb = MadeOf::is($line) ? null : $this->words->knownHerb($line);
        $oil = $this->words->oil($line);
        $there = $oil !== null && in_array($oil['id'], array_column($this->got->oils, 'id'), true);
        if ($this->recipe->isStep($line)) {
            // "Pour the oil over the herbs" names none; "cover with olive oil" names one, where none was named before.
            $herb = $this->got->herbs === [] ? $herb : null;
            $oil = $oil === null || $oil['id'] === '' || $this->got->oils !== [] ? null : $oil;
        }
        if ($oil !== null && $oil['id'] === '' && $this->got->oils !== []) {
            $this->got->say($line, 'unread', 'Not read: an oil with no amount, that is not in the tables.', false);

            return;
        }
        if ($oil !== null && $there) {
            $this->got->say($line, 'step', 'Named already.', false);

            return;
        }
        // An amount that stands where none is looked for is told, and not lost unsaid.
        $lost = WrittenAmounts::first($line);
        if ($oil !== null && mb_strlen($line) < 60) {
            $this->got->unmeasured($oil);
            $this->got->say(
                $line,
                'oil',
                ucfirst($oil['name']).
                    ', with no amount.'.
                    ($oil['id'] === '' ? ' '.OilLine::ask($oil['name']) : '').
                    ($lost === null ? '' : " Of “{$lost}” nothing was made."),
                true,
            );
        } elseif ($herb !== null && mb_strlen($line) < 60) {
            $read = $this->herbOf($line, $this->got->done);
            $lost === null || ($read[2][] = "of “{$lost}” nothing was made");
            $this->got->herb($line, $read);
        } else {
            $purpose = $this->words->purpose($line);
            $step = $this->recipe->isStep($line);
            $this->got->say(
                $line,
                $purpose === null && ! $step ? 'unread' : 'step',
                $purpose === null
                    ? ($step
                        ? RecipeWay::saysOfStep($line)
                        : 'Nothing was made of it.')
                    : 'Taken as what it is for: '.$this->cupboard->purpose($purpose)->name.'.',
                $purpose !== null,
            );
        }
    }

    /**
     * "1 cup calendula oil" behind calendula and the oil it goes into is what comes of them.
     *
     * @param  array{id: string, name: string}  $oil
     */
    private function isMadeHere(array $oil): bool
    {
        $herb = $oil['id'] === '' ? $this->words->knownHerb($oil['name']) : null;

        return $this->got->oils !== [] && $herb !== null && in_array($herb['id'], array_column($this->got->herbs, 'id'), true);
    }

    /** "1,500 g calendula", which may be one and a half: the herb or the oil with no amount, and what is asked of it. */
    private function takeAsked(string $line): bool
    {
        $asked = $this->words->amounts->asked($line);
        $typed = (string) array_key_first($asked);
        if ($typed === '' || ! str_starts_with($line, $typed)) {
            return false;
        }
        $before = count($this->got->lines);
        $this->line(trim(preg_replace('/^\s*of\s+/iu', '', mb_substr($line, mb_strlen($typed))) ?? ''));
        if (isset($this->got->lines[$before])) {
            $read = $this->got->lines[$before];
            $this->got->lines[$before] = ['line' => $line, 'says' => trim("{$read['says']} {$asked[$typed]}"), 'guess' => true] + $read;
        }

        return true;
    }

    /** "2 parts olive oil": how much of it is left open, and its part of the whole is not. */
    private function takeParts(string $line, float $parts, string $rest): void
    {
        // "1 part castor" is of the oil, of which no plant is taken.
        $oil = $this->words->oil($rest) ?? ($this->words->knownHerb($rest) === null ? $this->oilLine->calledShort($rest) : null);
        if ($oil !== null) {
            $this->got->unmeasured($oil);
            $this->got->oilParts[$oil['name']] = ($this->got->oilParts[$oil['name']] ?? 0.0) + $parts;
            $says = sprintf(
                '%s, %s.%s',
                ucfirst($oil['name']),
                self::inParts($parts),
                $oil['id'] === '' ? ' '.OilLine::ask($oil['name']) : '',
            );
            $over = preg_match('/\([^)]*\d[^)]*\)/u', $rest, $m) === 1 ? $m[0] : null;
            $says .= $over === null ? '' : " Of “{$over}” nothing was made.";
            $this->got->say($line, 'oil', $says, $oil['id'] === '' || $over !== null);

            return;
        }
        [$herb, $name, $guesses] = $this->herbOf($rest);
        if ($herb === null) {
            $this->got->say($line, 'unread', 'Nothing was made of it.', false);

            return;
        }
        $this->got->herbs[] = $herb + ['parts' => (string) $parts];
        $this->got->say(
            $line,
            'herb',
            ucfirst(implode('; ', ["{$name}, {$herb['state']}", self::inParts($parts), ...$guesses])).'.',
            $guesses !== [],
        );
    }

    private static function inParts(float $parts): string
    {
        return sprintf('%s %s', round($parts, 3), $parts === 1.0 ? 'part' : 'parts');
    }

    /**
     * @param  array{string, string}|null  $done as GatheredRecipe has it
     * @return array{array<string, string>|null, string, list<string>} as HerbLine has it
     */
    private function herbOf(string $rest, ?array $done = null): array
    {
        $state = $this->words->state($rest);
        $read = $this->herbLine->of($rest, false, $this->got->purpose === 'kitchen', $state, $done);
        if ($state !== null && isset($read[0]['id'])) {
            $this->got->states[$read[0]['id']] ??= $state;
        }

        return $read;
    }

    private function step(string $line): void
    {
        $said = $this->way->in($line);
        $this->got->say(
            $line,
            $said === [] ? 'step' : 'method',
            $said === [] ? RecipeWay::saysOfStep($line) : 'Taken as: '.implode(', ', $said).'.',
            $said !== [],
        );
    }

    /** @param  list<string>  $lines of the whole recipe */
    private function wayOf(array $lines): RecipeWay
    {
        return new RecipeWay($this->methods, $this->kitchen, InfusingTime::of($lines, $this->words), RecipeWay::isDrained($lines));
    }
}
