<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Methods;
use Kettle\Material\Counts;
use Kettle\Material\Cupboard;
use Kettle\Material\Lying;
use Kettle\Measure\Amount;
use Kettle\Measure\Kind;
use Kettle\Recipe\ByJar;
use Kettle\Recipe\Kitchen;

/**
 * Reads a recipe written as plain lines ("1 cup oil, 3 tbsp dried flowers") into a wish, and says of
 * every line what was made of it and whether that was a guess.
 */
final class PastedRecipe
{
    private const MOST_LINES = 200;

    private const LONGEST = 300;

    private const ADDED_LATER = 'Goes into a salve or is added at the end; not part of the infusion.';

    /** @var list<array{line: string, as: string, says: string, guess: bool}> */
    private array $lines = [];

    /** @var list<array<string, string>> */
    private array $herbs = [];

    /** @var list<array{id: string, name: string, ml: ?float, typed: string}> */
    private array $oils = [];

    private RecipeWay $way;

    /** As HerbLine tells of it. */
    private const STATE_GUESSED = '/^whether it is dried is not said/u';

    /** @var array{string, string}|null the state that what is done with them gives the herbs, and the line that says so */
    private ?array $done = null;

    /** @var array<string, string> how full of herb the jar is, how it lies there and how far it is covered */
    private array $byJar = [];

    /** @var array<string, string> the jar, where it is said */
    private array $jar = [];

    /** @var array<string, float> parts of each oil by its name, where amounts are told in parts */
    private array $oilParts = [];

    private ?string $purpose = null;

    private readonly RecipeWords $words;

    private readonly RecipeLines $recipe;

    private readonly RecipeText $text;

    private readonly Counts $counts;

    private readonly JarLine $jarLine;

    private readonly HerbLine $herbLine;

    private readonly OilLine $oilLine;

    public function __construct(private readonly Cupboard $cupboard, private readonly Methods $methods, private readonly Kitchen $kitchen)
    {
        $this->words = new RecipeWords($cupboard, $kitchen);
        $this->recipe = new RecipeLines($cupboard, $this->words);
        $this->text = new RecipeText($cupboard, $this->words, $this->recipe);
        $this->counts = new Counts($cupboard->tables());
        $this->jarLine = new JarLine(new SaidAmount($kitchen, $this->words), $this->words);
        $this->herbLine = new HerbLine($cupboard, $this->words, $this->counts);
        $this->oilLine = new OilLine($cupboard);
        $this->way = $this->wayOf([]);
    }

    /**
     * @param  bool  $named whether what it is called is known already, so that no line of it is its name
     *
     * @throws RecipeException when neither a herb nor an oil is in it
     */
    public function read(string $text, bool $named = false): ReadRecipe
    {
        $this->lines = $this->herbs = $this->oils = $this->byJar = $this->jar = $this->oilParts = [];
        $name = '';
        $lines = $this->text->split($text);
        $read = array_map(fn (string $line) => mb_substr($line, 0, self::LONGEST), array_slice($lines, 0, self::MOST_LINES));
        $this->way = $this->wayOf($read);
        $this->done = $this->recipe->stateByWhatIsDone($read);
        // What it is for counts for every line, wherever it stands.
        $this->purpose = null;
        foreach ($lines as $line) {
            $this->purpose ??= preg_match('/^\s*[\d½¼¾⅓⅔]/u', $line) === 1 ? null : $this->words->purpose($line);
        }
        foreach ($lines as $i => $line) {
            if ($i >= self::MOST_LINES) {
                $this->say(
                    sprintf('… and %d more lines', count($lines) - $i),
                    'unread',
                    'Not read: it is too long. Read the rest by itself.',
                    false,
                );
                break;
            }
            if (mb_strlen($line) > self::LONGEST) {
                $this->say(mb_substr($line, self::LONGEST), 'unread', 'Not read: the line is too long.', false);
                $line = mb_substr($line, 0, self::LONGEST);
            }
            if ($i === 0 && ! $named && $this->recipe->isTitle($line)) {
                $name = RecipeLines::titleOf($line);
                $purpose = $this->words->purpose($line);
                $this->say(
                    $line,
                    'name',
                    'Taken as its name'.
                        ($purpose === null ? '.' : ', and as what it is for: '.$this->cupboard->purpose($purpose)->name.'.'),
                    $purpose !== null,
                );

                continue;
            }
            $this->recipe->isHeading($line) ? $this->say($line, 'step', 'A heading.', false) : $this->line($line);
            $this->wayBeside($line);
            // As it was written, and not with its amount put first.
            $last = array_pop($this->lines);
            $last === null || ($this->lines[] = $this->recipe->asWritten($last, $line));
        }
        if ($this->herbs === [] && $this->oils === []) {
            throw RecipeException::nothingFound();
        }
        $wish = new PastedWish(
            $this->cupboard,
            $this->methods,
            $this->kitchen,
            $this->herbs,
            $this->oils,
            $this->way->method,
            $this->way->isSaid,
            $this->way->time,
            $this->purpose,
            $this->byJar,
            $this->jar,
            $this->oilParts,
        );

        $notes = $wish->looseEnds($text);

        return new ReadRecipe($name, '', $wish->wish($notes), $this->lines, $notes);
    }

    /** What is done stands beside what it is done with. */
    private function wayBeside(string $line): void
    {
        $last = array_key_last($this->lines);
        if ($last === null || ! in_array($this->lines[$last]['as'], ['herb', 'oil'], true)) {
            return;
        }
        $taken = $this->way->beside($line);
        if ($taken !== []) {
            $this->lines[$last]['says'] .= sprintf(' Taken as: %s.', implode(', ', $taken));
            $this->lines[$last]['guess'] = true;
        }
    }

    private function line(string $line): void
    {
        if (preg_match('/\bjars?\W*$/iu', $line) === 1 && ! $this->recipe->isStep($line) && $this->takeJar($line)) {
            return;
        }
        $line = $this->recipe->amountFirst($line);
        [$amount, $typed, $rest, $aside] = $this->words->amount($line);
        if ($amount === null && $this->takeAsked($line)) {
            return;
        }
        $late = '/\b(bees?wax|wax|vitamin\s*e|essential\s+oils?)\b/i';
        if (preg_match($late, $amount === null ? $line : $rest) === 1 && ($amount !== null || mb_strlen($line) < 60)) {
            $this->say($line, 'unread', self::ADDED_LATER, false);

            return;
        }
        if ($amount !== null) {
            // What is counted by drops is no herb, whatever plant it is of.
            if (preg_match('/\b(?:drops?|gtt)$/i', $typed) === 1) {
                $this->say($line, 'unread', 'Drops are added at the end; not part of the infusion.', false);

                return;
            }
            // "250 mL olive" is the oil, and "1 cup olive" by a guess.
            $named = $this->words->oil($rest);
            $isHerb = $this->words->knownHerb($rest) !== null;
            $oil = $named ?? ($isHerb ? null : $this->oilLine->calledShort($rest));
            if ($oil !== null) {
                ['oil' => $this->oils[], 'says' => $says, 'guess' => $guess] = $this->oilLine->measured($amount, $typed, $oil, $aside);
                $this->say($line, 'oil', $says, $guess || ($named === null && ! OilLine::isPoured($typed)));
            } elseif ($amount->kind === Kind::Time || $this->words->warmth($typed) !== null) {
                $this->step($line);
            } elseif ($this->words->isWater($rest)) {
                $this->say($line, 'unread', 'Water: not taken into the oil.', false);
            } elseif (MadeOf::is($rest)) {
                $this->say($line, 'unread', self::ADDED_LATER, false);
            } elseif (OilLine::isPoured($typed) && ! $isHerb) {
                $this->say(
                    $line,
                    'unread',
                    sprintf('“%s” is in no list, and nothing was made of it: choose it at the Bench.', $rest),
                    false,
                );
            } else {
                $this->takeHerb($line, $this->herbLine->measured($amount, $typed, $rest, $aside, $this->purpose === 'kitchen'));
            }

            return;
        }
        if ($this->takeByJar($line) || $this->takeJar($line)) {
            return;
        }
        $parts = $this->words->parts($line);
        if ($parts !== null) {
            $this->takeParts($line, ...$parts);

            return;
        }
        $count = $this->words->count($line);
        if ($count !== null && $this->recipe->isOfCounted($count[2])) {
            $this->takeHerb($line, $this->herbLine->counted($count[0], $count[1], $count[2], $this->purpose === 'kitchen'));

            return;
        }
        if (
            $this->words->isMethod($line) ||
            $this->words->warmth($line) !== null ||
            preg_match('/\d+\s*(?:-|to)?\s*\d*\s*(weeks?|days?|hours?|hrs?|minutes?|mins?|h)\b/i', $line) === 1
        ) {
            $this->step($line);

            return;
        }
        $herb = MadeOf::is($line) ? null : $this->words->knownHerb($line);
        $oil = $this->words->oil($line);
        $there = $oil !== null && in_array($oil['id'], array_column($this->oils, 'id'), true);
        if ($this->recipe->isStep($line)) {
            // "Pour the oil over the herbs" names none; "cover with olive oil" names one, where none was named before.
            $herb = $this->herbs === [] ? $herb : null;
            $oil = $oil === null || $oil['id'] === '' || $this->oils !== [] ? null : $oil;
        }
        if ($oil !== null && $oil['id'] === '' && $this->oils !== []) {
            $this->say($line, 'unread', 'Not read: an oil with no amount, that is not in the tables.', false);

            return;
        }
        if ($oil !== null && $there) {
            $this->say($line, 'step', 'Named already.', false);

            return;
        }
        if ($oil !== null && mb_strlen($line) < 60) {
            $this->unmeasured($oil);
            $this->say(
                $line,
                'oil',
                ucfirst($oil['name']).', with no amount.'.($oil['id'] === '' ? ' '.OilLine::ask($oil['name']) : ''),
                true,
            );
        } elseif ($herb !== null && mb_strlen($line) < 60) {
            $this->takeHerb($line, $this->herbOf($line));
        } else {
            $purpose = $this->words->purpose($line);
            $step = $this->recipe->isStep($line);
            $this->say(
                $line,
                $purpose === null && ! $step ? 'unread' : 'step',
                $purpose === null
                    ? ($step
                        ? 'A step; nothing new in it.'
                        : 'Nothing was made of it.')
                    : 'Taken as what it is for: '.$this->cupboard->purpose($purpose)->name.'.',
                $purpose !== null,
            );
        }
    }

    /** "1,500 g calendula", which may be one and a half: the herb or the oil with no amount, and what is asked of it. */
    private function takeAsked(string $line): bool
    {
        $asked = $this->words->asked($line);
        $typed = (string) array_key_first($asked);
        if ($typed === '' || ! str_starts_with($line, $typed)) {
            return false;
        }
        $before = count($this->lines);
        $this->line(trim(preg_replace('/^\s*of\s+/iu', '', mb_substr($line, mb_strlen($typed))) ?? ''));
        if (isset($this->lines[$before])) {
            $read = $this->lines[$before];
            $this->lines[$before] = ['line' => $line, 'says' => trim("{$read['says']} {$asked[$typed]}"), 'guess' => true] + $read;
        }

        return true;
    }

    /** "A jar half full of dried petals", "cover with oil by an inch": false where a line says nothing like it. */
    private function takeByJar(string $line): bool
    {
        $read = $this->jarLine->read($line, array_column($this->oils, 'id'));
        if ($read === null) {
            return false;
        }
        ['by_jar' => $byJar, 'cover' => $cover, 'oil' => $oil] = $read;
        $again = isset($byJar['fill'], $this->byJar['fill']);
        $this->byJar += $byJar + ($cover === null ? [] : ['cover' => $cover]);
        $this->jar = $this->jar ?: $read['jar'];
        $herb = $read['herb'] === null ? null : $this->herbOf($read['herb']);
        if ($oil !== null) {
            $this->unmeasured($oil);
        }
        if (isset($herb[0])) {
            $this->put($herb[0]);
        }
        $said = array_filter([
            $herb === null ? '' : $herb[1].', '.($herb[0]['state'] ?? ''),
            $oil === null ? '' : $oil['name'],
            isset($byJar['fill']) ? 'a jar '.ByJar::SAID[$byJar['fill']] : '',
            $again ? 'the jar is filled as the first line says' : '',
            ($byJar['cover'] ?? $cover) === ByJar::BRIM ? 'to the brim' : (isset($cover) ? "covered by {$cover}" : ''),
        ]);
        $says = ucfirst(implode('; ', $said)).self::guessed($herb[2] ?? []);
        $this->say($line, $herb !== null ? 'herb' : ($oil !== null ? 'oil' : 'step'), $says, $again || ($herb[2] ?? []) !== []);

        return true;
    }

    /** "Take a clean quart jar.", "Place the herbs in a pint jar": which jar it is; false where a line says nothing like it, or more. */
    private function takeJar(string $line): bool
    {
        // What it is strained into is another.
        if ($this->jar !== [] || preg_match('/\b(?:strain|filter|decant|bottle|label|stor(?:e|ing|age)|keep|into)/iu', $line) === 1) {
            return false;
        }
        [$this->jar, $none] = $this->jarLine->jar($line);
        $more = $this->words->isMethod($line) || $this->words->oil($line) !== null || $this->words->knownHerb($line) !== null;
        if ($more || ($this->jar === [] && $none === null)) {
            return false;
        }
        $says = isset($this->jar['jar'])
            ? ucfirst($this->kitchen->jar($this->jar['jar'])->called ?? 'jar').'.'
            : SaidAmount::noJar((string) $none);
        $this->say($line, 'step', $says, $none !== null);

        return true;
    }

    /** "2 parts olive oil": how much of it is left open, and its part of the whole is not. */
    private function takeParts(string $line, float $parts, string $rest): void
    {
        // "1 part castor" is of the oil, of which no plant is taken.
        $oil = $this->words->oil($rest) ?? ($this->words->knownHerb($rest) === null ? $this->oilLine->calledShort($rest) : null);
        if ($oil !== null) {
            $this->unmeasured($oil);
            $this->oilParts[$oil['name']] = ($this->oilParts[$oil['name']] ?? 0.0) + $parts;
            $says = sprintf(
                '%s, %s.%s',
                ucfirst($oil['name']),
                self::inParts($parts),
                $oil['id'] === '' ? ' '.OilLine::ask($oil['name']) : '',
            );
            $over = preg_match('/\([^)]*\d[^)]*\)/u', $rest, $m) === 1 ? $m[0] : null;
            $says .= $over === null ? '' : " Of “{$over}” nothing was made.";
            $this->say($line, 'oil', $says, $oil['id'] === '' || $over !== null);

            return;
        }
        [$herb, $name, $guesses] = $this->herbOf($rest);
        if ($herb === null) {
            $this->say($line, 'unread', 'Nothing was made of it.', false);

            return;
        }
        $this->herbs[] = $herb + ['parts' => (string) $parts];
        $this->say(
            $line,
            'herb',
            ucfirst(implode('; ', ["{$name}, {$herb['state']}", self::inParts($parts), ...$guesses])).'.',
            $guesses !== [],
        );
    }

    /** @param  array{id: string, name: string}  $oil of which it is not said how much */
    private function unmeasured(array $oil): void
    {
        $this->oils[] = ['id' => $oil['id'], 'name' => $oil['name'], 'ml' => null, 'typed' => ''];
    }

    private static function inParts(float $parts): string
    {
        return sprintf('%s %s', round($parts, 3), $parts === 1.0 ? 'part' : 'parts');
    }

    /** @return array{array<string, string>|null, string, list<string>} as HerbLine has it */
    private function herbOf(string $rest): array
    {
        return $this->herbLine->of($rest, false, $this->purpose === 'kitchen', $this->words->state($rest));
    }

    /** @param  array{array<string, string>|null, string, list<string>}  $read as HerbLine has it */
    private function takeHerb(string $line, array $read): void
    {
        [$herb, $name, $guesses] = $read;
        if ($herb === null) {
            $this->say($line, 'unread', 'Nothing was made of it.', false);

            return;
        }
        $done = $this->done;
        if ($done !== null && preg_grep(self::STATE_GUESSED, $guesses) !== []) {
            // What is picked is fresh, and what is left to wilt wilted, whatever is guessed of others.
            $herb['state'] = $done[0];
            $told = sprintf('%s, by “%s”', ...$done);
            $guesses = array_map(fn (string $guess) => preg_match(self::STATE_GUESSED, $guess) === 1 ? $told : $guess, $guesses);
        }
        $this->put($herb);
        $lies = Lying::in($herb['amount'] ?? '')[1]?->value;
        $this->say(
            $line,
            'herb',
            ucfirst(implode(', ', array_filter([$name, $herb['state'], $lies]))).self::guessed($guesses),
            $guesses !== [],
        );
    }

    /**
     * "Fill a jar with calendula", and then how much of it: the same once.
     *
     * @param  array<string, string>  $herb
     */
    private function put(array $herb): void
    {
        $bare = array_filter($this->herbs, fn (array $each) => ($each['id'] ?? '') === ($herb['id'] ?? null) && ! isset($each['amount']));
        $this->herbs[array_key_first($bare) ?? count($this->herbs)] = $herb;
    }

    /** @param  list<string>  $guesses */
    private static function guessed(array $guesses): string
    {
        return '.'.($guesses === [] ? '' : ' '.ucfirst(implode('; ', $guesses)).'.');
    }

    private function step(string $line): void
    {
        $said = $this->way->in($line);
        $this->say(
            $line,
            $said === [] ? 'step' : 'method',
            $said === [] ? 'A step; nothing new in it.' : 'Taken as: '.implode(', ', $said).'.',
            $said !== [],
        );
    }

    /** @param  list<string>  $lines of the whole recipe */
    private function wayOf(array $lines): RecipeWay
    {
        return new RecipeWay($this->methods, $this->words, $this->kitchen, InfusingTime::of($lines, $this->words));
    }

    private function say(string $line, string $as, string $says, bool $guess): void
    {
        $this->lines[] = ['line' => $line, 'as' => $as, 'says' => $says, 'guess' => $guess];
    }
}
