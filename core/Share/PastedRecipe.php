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
use Kettle\Measure\Kind;
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

    private ?float $hours = null;

    private string $hoursLine = '';

    private ?float $celsius = null;

    private ?string $purpose = null;

    private readonly RecipeWords $words;

    private readonly Counts $counts;

    public function __construct(private readonly Cupboard $cupboard, private readonly Methods $methods, private readonly Kitchen $kitchen)
    {
        $this->words = new RecipeWords($cupboard, $kitchen);
        $this->counts = new Counts($cupboard->tables());
    }

    /** @throws RecipeException when neither a herb nor an oil is in it */
    public function read(string $text): ReadRecipe
    {
        $this->lines = $this->herbs = $this->oils = [];
        $this->method = $this->hours = $this->celsius = null;
        $this->methodSaid = false;
        $name = '';
        $lines = $this->words->split($text);
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
            if ($i === 0 && $this->words->isName($line) && $this->words->count($line) === null && ! $this->counts->isCounted($line)) {
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
            $this->hours,
            $this->hoursLine,
            $this->celsius,
            $this->purpose,
        );

        return new ReadRecipe($name, '', $wish->wish($notes), $this->lines, $notes);
    }

    private function line(string $line): void
    {
        [$amount, $typed, $rest, $aside] = $this->words->amount($line);
        if ($amount !== null) {
            if (preg_match('/\b(wax|beeswax|vitamin\s*e|essential\s+oil)\b/i', $rest) === 1) {
                $this->say($line, 'unread', 'Goes into a salve or is added at the end; not part of the infusion.', false);

                return;
            }
            $oil = $this->words->oil($rest);
            if ($oil !== null) {
                $this->takeOil($line, $amount, $typed, $oil, $aside);
            } elseif ($amount->kind === Kind::Time) {
                $this->time($line, $amount);
            } elseif (preg_match('/\bwater\b/i', $rest) === 1) {
                $this->say($line, 'unread', 'Water: not taken into the oil.', false);
            } else {
                $this->takeHerb($line, $typed, $rest, $aside);
            }

            return;
        }
        $count = $this->words->count($line);
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
        if ($oil !== null && mb_strlen($line) < 60) {
            $this->oils[] = ['id' => $oil['id'], 'name' => $oil['name'], 'ml' => null, 'typed' => ''];
            $this->say(
                $line,
                'oil',
                ucfirst($oil['name']).', with no amount.'.($oil['id'] === '' ? ' '.self::ask($oil['name']) : ''),
                true,
            );
        } elseif ($herb !== null && mb_strlen($line) < 60) {
            $this->takeHerb($line, '', $line, null);
        } else {
            $purpose = $this->words->purpose($line);
            $this->say(
                $line,
                $purpose === null ? 'unread' : 'step',
                $purpose === null ? 'Not read.' : 'Taken as what it is for: '.$this->cupboard->purpose($purpose)->name.'.',
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

    private function takeHerb(string $line, string $typed, string $rest, ?Amount $aside): void
    {
        [$herb, $name, $guesses] = $this->herb($rest, $this->words->state($rest), false);
        if ($herb === null) {
            $this->say($line, 'unread', 'Not read.', false);

            return;
        }
        if ($aside !== null && $aside->kind === Kind::Mass) {
            $typed = round($aside->value, 1).' g';
        } elseif ($typed !== '' && preg_match('/\b(cups?|c|tbsp|tsp|tablespoons?|teaspoons?|ml|pints?|quarts?|l)\b/i', $typed) === 1) {
            $guesses[] = 'a volume of herb is weighed by how it usually lies';
        }
        if (preg_match('/(?<![\d])\d+(?:\.\d+)?\s*(-|–|to)\s*\d+(?!\s*\/)/u', $typed) === 1) {
            $guesses[] = 'the middle of what is written';
        }
        if ($typed !== '') {
            $herb['amount'] = $typed;
        }
        $this->herbs[] = $herb;
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
            $this->say($line, 'unread', 'Not read.', false);

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
        if (
            $this->hours === null &&
            preg_match(
                '/(\d+(?:\.\d+)?(?:\s*(?:-|–|to)\s*\d+(?:\.\d+)?)?\s*(?:weeks?|days?|hours?|hrs?|minutes?|mins?|h))\b/iu',
                $line,
                $m,
            ) === 1
        ) {
            $amount = $this->words->reading($m[1]);
            if ($amount !== null && $amount->kind === Kind::Time) {
                $this->hours = $amount->value;
                $this->hoursLine = $m[1];
                $said[] = AmountWriter::span($amount->value);
            }
        }
        $celsius = $this->words->warmth($line);
        if ($this->celsius === null && $celsius !== null) {
            $this->celsius = $celsius;
            $said[] = $this->kitchen->warmth($celsius);
        }
        $this->say(
            $line,
            $said === [] ? 'step' : 'method',
            $said === [] ? 'A step; nothing new in it.' : 'Taken as: '.implode(', ', $said).'.',
            $said !== [],
        );
    }

    private function time(string $line, Amount $amount): void
    {
        $this->hours ??= $amount->value;
        $this->hoursLine = $this->hoursLine === '' ? $line : $this->hoursLine;
        $this->step($line);
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
