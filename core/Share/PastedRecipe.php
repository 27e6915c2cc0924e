<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Material\Counts;
use Kettle\Material\Cupboard;
use Kettle\Material\State;
use Kettle\Measure\Amount;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Density;
use Kettle\Measure\Figures;
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

    private const METRIC = '/\d\s*(g|gr|grams?|kg|ml|millilit\w*|cl|dl|l|lit\w*)\b/i';

    private const CUSTOMARY =
        '/\d\s*(cups?|c\.|tbsp\.?|tsp\.?|tablespoons?|teaspoons?|'.'fl\.?\s*oz|oz|ounces?|lbs?|pounds?|pints?|quarts?)(?![a-z])/i';

    /** @var list<array{line: string, as: string, says: string, guess: bool}> */
    private array $lines = [];

    /** @var list<array<string, string>> */
    private array $herbs = [];

    /** @var list<array{id: string, name: string, ml: ?float, typed: string}> */
    private array $oils = [];

    private ?Method $method = null;

    private bool $methodSaid = false;

    private InfusingTime $time;

    /** @var array<string, string> how full of herb the jar is, how it lies there and how far it is covered */
    private array $byJar = [];

    /** @var array<string, string> the jar, where it is said */
    private array $jar = [];

    /** @var array<string, float> parts of each oil by its name, where amounts are told in parts */
    private array $oilParts = [];

    private ?string $purpose = null;

    private readonly RecipeWords $words;

    private readonly Counts $counts;

    private readonly SaidAmount $amount;

    public function __construct(private readonly Cupboard $cupboard, private readonly Methods $methods, private readonly Kitchen $kitchen)
    {
        $this->words = new RecipeWords($cupboard, $kitchen);
        $this->counts = new Counts($cupboard->tables());
        $this->amount = new SaidAmount($kitchen, $this->words);
        $this->time = InfusingTime::of([], $this->words);
    }

    /** @throws RecipeException when neither a herb nor an oil is in it */
    public function read(string $text): ReadRecipe
    {
        $this->lines = $this->herbs = $this->oils = $this->byJar = $this->jar = $this->oilParts = [];
        $this->method = null;
        $this->methodSaid = false;
        $name = '';
        $lines = $this->words->split(Figures::ascii($text));
        $this->time = InfusingTime::of(array_slice($lines, 0, self::MOST_LINES), $this->words);
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
            if (
                $i === 0 &&
                ! $this->words->isHeading($line) &&
                $this->words->isName($line) &&
                $this->words->count($line) === null &&
                ! $this->counts->isCounted($line)
            ) {
                $name = $line;
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
            $this->words->isHeading($line) ? $this->say($line, 'step', 'A heading.', false) : $this->line($line);
            // As it was written, and not with its amount put first.
            $last = array_pop($this->lines);
            $last === null || ($this->lines[] = $this->words->asWritten($last, $line));
        }
        if ($this->herbs === [] && $this->oils === []) {
            throw RecipeException::nothingFound();
        }
        $notes = $this->notes($text);

        $wish = new PastedWish(
            $this->cupboard,
            $this->methods,
            $this->kitchen,
            $this->herbs,
            $this->oils,
            $this->method,
            $this->methodSaid,
            $this->time,
            $this->purpose,
            $this->byJar,
            $this->jar,
            $this->oilParts,
        );

        return new ReadRecipe($name, '', $wish->wish($notes), $this->lines, $notes);
    }

    private function line(string $line): void
    {
        $line = $this->words->amountFirst($line);
        [$amount, $typed, $rest, $aside] = $this->words->amount($line);
        $late = '/\b(bees?wax|wax|vitamin\s*e|essential\s+oils?)\b/i';
        if (preg_match($late, $amount === null ? $line : $rest) === 1 && ($amount !== null || mb_strlen($line) < 60)) {
            $this->say($line, 'unread', 'Goes into a salve or is added at the end; not part of the infusion.', false);

            return;
        }
        if ($amount !== null) {
            // What is counted by drops is no herb, whatever plant it is of.
            if (preg_match('/\b(?:drops?|gtt)$/i', $typed) === 1) {
                $this->say($line, 'unread', 'Drops are added at the end; not part of the infusion.', false);

                return;
            }
            $oil = $this->words->oil($rest);
            if ($oil !== null) {
                $this->takeOil($line, $amount, $typed, $oil, $aside);
            } elseif ($amount->kind === Kind::Time) {
                $this->step($line);
            } elseif (preg_match('/\bwater\b/i', $rest) === 1) {
                $this->say($line, 'unread', 'Water: not taken into the oil.', false);
            } else {
                $this->takeHerb($line, $amount, $typed, $rest, $aside);
            }

            return;
        }
        if ($this->takeByJar($line)) {
            return;
        }
        $count = $this->words->count($line);
        if ($count !== null && preg_match('/^parts?\s+(?:of\s+)?(.+)$/iu', $count[2], $of) === 1) {
            $this->takeParts($line, $count[0], $of[1]);

            return;
        }
        if ($count !== null && $this->isOfCounted($count[2])) {
            $this->takeCounted($line, $count[0], $count[1], $count[2]);

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
        $herb = $this->words->knownHerb($line);
        $oil = $this->words->oil($line);
        $there = $oil !== null && in_array($oil['id'], array_column($this->oils, 'id'), true);
        if ($this->words->isStep($line)) {
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
                ucfirst($oil['name']).', with no amount.'.($oil['id'] === '' ? ' '.self::ask($oil['name']) : ''),
                true,
            );
        } elseif ($herb !== null && mb_strlen($line) < 60) {
            $this->takeHerb($line, null, '', $line, null);
        } else {
            $purpose = $this->words->purpose($line);
            $step = $this->words->isStep($line);
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

    /** Whether what stands behind a number is a plant that is counted, and not a step or an oil. */
    private function isOfCounted(string $rest): bool
    {
        return mb_strlen($rest) < 80 &&
            preg_match('/^(weeks?|days?|hours?|hrs?|minutes?|mins?|h|times|jars?|bottles?)\b/i', $rest) !== 1 &&
            $this->words->oil($rest) === null &&
            ($this->counts->isCounted($rest) || $this->words->knownHerb($rest) !== null);
    }

    /** @param  array{id: string, name: string}  $oil */
    private function takeOil(string $line, Amount $amount, string $typed, array $oil, ?Amount $aside): void
    {
        $known = $oil['id'] !== '';
        // Of an oil that nobody knows, the weight is taken to be an oil's, until it is chosen.
        $density = $known ? $this->cupboard->carrier($oil['id'])->at20 : Density::gramsPerMl(0.915);
        $ml = $amount->kind === Kind::Mass ? $density->volumeOf($amount->value) : $amount->value;
        $says = sprintf('%s of %s.', AmountWriter::plain($ml, Kind::Volume), $oil['name']);
        $guess = ! $known;
        if ($amount->low < $amount->high) {
            $says .= ' The middle of what is written.';
            $guess = true;
        }
        if ($aside !== null) {
            $beside = $aside->kind === Kind::Mass ? $density->volumeOf($aside->value) : $aside->value;
            if (abs($beside / $ml - 1) > 0.12) {
                $says = sprintf(
                    '%s of %s, as the brackets say; the two amounts written are not the same.',
                    AmountWriter::plain($beside, Kind::Volume),
                    $oil['name'],
                );
                $guess = true;
            }
            [$ml, $typed] = [$beside, round($beside, 1).' mL'];
        }
        if (! $known) {
            $says .= ' '.self::ask($oil['name']);
        }
        $this->oils[] = [
            'id' => $oil['id'],
            'name' => $oil['name'],
            'ml' => $ml,
            'typed' => $amount->low < $amount->high ? round($ml, 1).' mL' : $typed,
        ];
        $this->say($line, 'oil', $says, $guess);
    }

    private static function ask(string $name): string
    {
        return mb_strtolower($name) === 'oil'
            ? 'Which oil is not said: choose it at the Bench.'
            : sprintf('“%s” is not in the tables: choose an oil at the Bench. None is taken for it.', $name);
    }

    /** "A jar half full of dried petals", "cover with oil by an inch": false where a line says nothing like it. */
    private function takeByJar(string $line): bool
    {
        $left = new Remainder($line);
        $cover = $this->amount->covers($left);
        // A spoon full of it is no jar.
        $byJar = preg_match('/\bjars?\b/iu', $line) === 1 ? $this->amount->byJar($left)['by_jar'] ?? [] : [];
        if ($byJar === [] && $cover === null) {
            return false;
        }
        $again = isset($byJar['fill'], $this->byJar['fill']);
        $this->byJar += $byJar + ($cover === null ? [] : ['cover' => $cover]);
        $this->jar = $this->jar ?: $this->amount->jar($left);
        $oil = $herb = null;
        foreach (preg_split('/\s*[;,]\s*/u', trim($left->text), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $piece) {
            $named = $this->words->oil($piece);
            $oil ??=
                $named === null || $named['id'] === '' || in_array($named['id'], array_column($this->oils, 'id'), true) ? null : $named;
            $herb ??=
                $named === null && $this->words->knownHerb($piece) !== null
                    ? $this->herb($piece, $this->words->state($piece), false)
                    : null;
        }
        if ($oil !== null) {
            $this->unmeasured($oil);
        }
        if (isset($herb[0])) {
            $this->herbs[] = $herb[0];
        }
        $said = array_filter([
            $herb === null ? '' : $herb[1].', '.($herb[0]['state'] ?? ''),
            $oil === null ? '' : $oil['name'],
            isset($byJar['fill']) ? 'a jar '.ByJar::SAID[$byJar['fill']] : '',
            $again ? 'the jar is filled as the first line says' : '',
            ($byJar['cover'] ?? $cover) === ByJar::BRIM ? 'to the brim' : (isset($cover) ? "covered by {$cover}" : ''),
        ]);
        $says = ucfirst(implode('; ', $said)).'.'.(($herb[2] ?? []) === [] ? '' : ' '.ucfirst(implode('; ', $herb[2])).'.');
        $this->say($line, $herb !== null ? 'herb' : ($oil !== null ? 'oil' : 'step'), $says, $again || ($herb[2] ?? []) !== []);

        return true;
    }

    /** "2 parts olive oil": how much of it is left open, and its part of the whole is not. */
    private function takeParts(string $line, float $parts, string $rest): void
    {
        $oil = $this->words->oil($rest);
        if ($oil !== null) {
            $this->unmeasured($oil);
            $this->oilParts[$oil['name']] = ($this->oilParts[$oil['name']] ?? 0.0) + $parts;
            $says = sprintf(
                '%s, %s.%s',
                ucfirst($oil['name']),
                self::inParts($parts),
                $oil['id'] === '' ? ' '.self::ask($oil['name']) : '',
            );
            $this->say($line, 'oil', $says, $oil['id'] === '');

            return;
        }
        [$herb, $name, $guesses] = $this->herb($rest, $this->words->state($rest), false);
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

    private function takeHerb(string $line, ?Amount $amount, string $typed, string $rest, ?Amount $aside): void
    {
        [$herb, $name, $guesses] = $this->herb($rest, $this->words->state($rest), false);
        if ($herb === null) {
            $this->say($line, 'unread', 'Nothing was made of it.', false);

            return;
        }
        if ($aside !== null && $aside->kind === Kind::Mass) {
            $typed = round($aside->value, 1).' g';
        } elseif ($amount?->kind === Kind::Volume) {
            $guesses[] = 'a volume of herb is weighed by how it usually lies';
        }
        if (preg_match('/(?<![\d])\d+(?:\.\d+)?\s*(-|–|to)\s*\d+(?!\s*\/)/u', $typed) === 1) {
            $guesses[] = 'the middle of what is written';
        }
        if ($typed !== '') {
            $herb['amount'] = $typed;
        }
        // "Fill a jar with calendula", and then how much of it.
        $bare = array_filter($this->herbs, fn (array $each) => ($each['id'] ?? '') === ($herb['id'] ?? null) && ! isset($each['amount']));
        $this->herbs[array_key_first($bare) ?? count($this->herbs)] = $herb;
        $this->say(
            $line,
            'herb',
            ucfirst($name.', '.$herb['state']).'.'.($guesses === [] ? '' : ' '.ucfirst(implode('; ', $guesses)).'.'),
            $guesses !== [],
        );
    }

    /** "4 cloves of garlic": so many of them, with what they weigh, about. */
    private function takeCounted(string $line, float $least, float $most, string $rest): void
    {
        $garlic = preg_match('/^cloves?\s*$/i', trim($rest, ' .,')) === 1;
        [$herb, $name, $guesses] = $this->herb($garlic ? 'garlic' : $rest, $this->words->state($rest), true);
        if ($herb === null) {
            $this->say($line, 'unread', 'Nothing was made of it.', false);

            return;
        }
        if ($garlic) {
            $guesses[] = 'cloves are taken to be of garlic; if the spice is meant, change it';
        }
        $known = isset($herb['id']) ? $this->cupboard->herb($herb['id']) : null;
        $each = $this->counts->of($rest, $known, State::from($herb['state']));
        $state = $this->words->state($rest);
        if ($each === null && $state === null && ($other = $this->counts->of($rest, $known, null)) !== null) {
            // A stick of cinnamon is never fresh.
            [$each, $herb['state']] = [$other, $other['state']->value];
            $guesses = array_filter($guesses, fn (string $guess) => ! str_contains($guess, 'fresh is a guess'));
        }
        if ($each === null) {
            $guesses[] = 'how much they weigh is not known: weigh them';
        } else {
            $grams = (($least + $most) / 2) * $each['g'];
            $herb['amount'] = round($grams, $grams < 10 ? 1 : 0).' g';
            $guesses[] = sprintf(
                'about %s, between %s and %s: weigh it',
                $herb['amount'],
                AmountWriter::plain($least * $each['low'], Kind::Mass),
                AmountWriter::plain($most * $each['high'], Kind::Mass),
            );
        }
        $this->herbs[] = $herb;
        $this->say($line, 'herb', ucfirst($name.', '.$herb['state']).'. '.ucfirst(implode('; ', $guesses)).'.', true);
    }

    /**
     * The herb a text speaks of, as a wish has it. Where it does not say dried, ground or powder, what is counted, and what
     * is a kitchen's plant, is taken to be fresh: to be wrong that way harms nobody.
     *
     * @return array{array<string, string>|null, string, list<string>} its name, and what was guessed; null where there is none
     */
    private function herb(string $rest, ?string $state, bool $counted): array
    {
        $known = $this->words->knownHerb($rest);
        $form = $this->words->form($rest);
        $words = implode('|', [
            'dried',
            'dry',
            'fresh(ly)?',
            'raw',
            'wilted',
            'just',
            'picked',
            'chopped',
            'crushed',
            'cut',
            'whole',
            'loosely',
            'lightly',
            'packed',
            'organic',
            'powdered',
            'ground',
            'of',
            ...$counted ? [...$this->counts->words(), 'large', 'small', 'medium', 'big', 'fat', 'ripe'] : [],
        ]);
        $name = trim(preg_replace('/\s+/', ' ', preg_replace('/[(,].*$|\b('.$words.')\b/iu', ' ', $rest) ?? '') ?? '');
        if ($known === null && ($name === '' || mb_strlen($name) > 40 || str_word_count($name) > 4)) {
            return [null, '', []];
        }
        $guesses = [];
        $herb = $known === null ? ['name' => $name, 'form' => $form ?? 'thin-leaf'] : ['id' => $known['id']];
        if ($known === null) {
            $guesses[] = sprintf('“%s” is not in the list; how it is cut is a guess', $name);
        } elseif ($form !== null && $this->cupboard->form($form)->traits->powder) {
            $herb['form'] = $form;
        }
        $plant = $known === null ? null : $this->cupboard->herb($known['id']);
        // A powder or a tea bag is dry by nature.
        $dry = $this->cupboard->form($herb['form'] ?? ($plant->form ?? 'thin-leaf'))->waterFresh === null;
        if ($state === null && ! $dry) {
            $fresh = $counted || $this->purpose === 'kitchen' || ($plant !== null && $plant->isWatery());
            $state = $fresh ? 'fresh' : 'dried';
            $guesses[] = sprintf('whether it is dried is not said: %s is a guess', $state);
        }
        $herb['state'] = $state ?? 'dried';

        return [$herb, $known['name'] ?? $name, $guesses];
    }

    private function step(string $line): void
    {
        $said = [];
        foreach ($this->words->methods($line) as $id) {
            if ($this->method === null || ($this->method->id === 'cold' && $id !== 'cold')) {
                $this->method = $this->methods->method($id);
                $this->methodSaid = $id !== 'cold';
                $said[] = $this->method->name;
            }
        }
        if ($this->time->hours !== null && $this->time->line === $line) {
            $said[] = AmountWriter::span($this->time->hours);
        }
        if ($this->time->celsius !== null && $this->time->warmLine === $line) {
            $said[] = $this->kitchen->warmth($this->time->celsius);
        }
        $this->say(
            $line,
            $said === [] ? 'step' : 'method',
            $said === [] ? 'A step; nothing new in it.' : 'Taken as: '.implode(', ', $said).'.',
            $said !== [],
        );
    }

    /** @return list<string> */
    private function notes(string $text): array
    {
        $notes = [];
        if (preg_match(self::METRIC, $text) === 1 && preg_match(self::CUSTOMARY, $text) === 1) {
            $notes[] = sprintf(
                'It is written in two systems of measures. A cup is taken as the house’s, %s; look at each amount.',
                AmountWriter::plain($this->kitchen->writer()->cupMl(), Kind::Volume),
            );
        }
        if ($this->herbs === []) {
            $notes[] = 'No herb was found in it: choose one.';
        }
        if ($this->oils === []) {
            $notes[] = 'No oil was found in it: choose one.';
        }

        return $notes;
    }

    private function say(string $line, string $as, string $says, bool $guess): void
    {
        $this->lines[] = ['line' => $line, 'as' => $as, 'says' => $says, 'guess' => $guess];
    }
}
