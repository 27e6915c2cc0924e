<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Infusion\School;
use Kettle\Material\Cupboard;
use Kettle\Measure\Amount;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Recipe\Kitchen;

/**
 * Reads a recipe written as plain lines ("1 cup oil, 3 tbsp dried flowers") into a wish, and says of
 * every line what was made of it and whether that was a guess.
 */
final class PastedRecipe
{
    private const METRIC = '/\d\s*(g|gr|grams?|kg|ml|millilit\w*|cl|dl|l|lit\w*)\b/i';

    private const CUSTOMARY = '/\d\s*(cups?|c\.|tbsp\.?|tsp\.?|tablespoons?|teaspoons?|fl\.?\s*oz|oz|ounces?|lbs?|pounds?|pints?|quarts?)(?![a-z])/i';

    /** @var list<array{line: string, as: string, says: string, guess: bool}> */
    private array $lines = [];

    /** @var list<array<string, string>> */
    private array $herbs = [];

    /** @var list<array{id: string, ml: ?float, typed: string}> */
    private array $oils = [];

    private ?Method $method = null;

    private bool $methodSaid = false;

    private ?float $hours = null;

    private string $hoursLine = '';

    private readonly RecipeWords $words;

    public function __construct(private readonly Cupboard $cupboard, private readonly Methods $methods, private readonly Kitchen $kitchen)
    {
        $this->words = new RecipeWords($cupboard, $kitchen);
    }

    /** @throws RecipeRefused when neither a herb nor an oil is in it */
    public function read(string $text): ReadRecipe
    {
        $this->lines = $this->herbs = $this->oils = [];
        $this->method = $this->hours = null;
        $this->methodSaid = false;
        $name = '';
        foreach ($this->words->split($text) as $i => $line) {
            if ($i === 0 && $this->words->isName($line)) {
                $name = $line;
                $this->say($line, 'name', 'Taken as its name.', false);

                continue;
            }
            $this->line($line);
        }
        if ($this->herbs === [] && $this->oils === []) {
            throw RecipeRefused::nothingFound();
        }
        $notes = $this->notes($text);

        return new ReadRecipe($name, '', $this->wish($notes), $this->lines, $notes);
    }

    private function line(string $line): void
    {
        [$amount, $typed, $rest, $aside] = $this->words->amount($line);
        if ($amount !== null) {
            $oil = $this->words->oil($rest);
            if ($oil !== null) {
                $this->takeOil($line, $amount, $typed, $oil, $aside);

                return;
            }
            if (preg_match('/\b(wax|beeswax|vitamin\s*e|essential\s+oil|butter)\b/i', $rest) === 1) {
                $this->say($line, 'unread', 'Goes into a salve or is added at the end; not part of the infusion.', false);

                return;
            }
            if ($amount->kind === Kind::Time) {
                $this->time($line, $amount);

                return;
            }
            if (preg_match('/\bwater\b/i', $rest) === 1) {
                $this->say($line, 'unread', 'Water: not taken into the oil.', false);

                return;
            }
            $this->takeHerb($line, $typed, $rest, $aside);

            return;
        }
        if ($this->words->isMethod($line) || preg_match('/\d+\s*(?:-|to)?\s*\d*\s*(weeks?|days?|hours?|hrs?|minutes?|mins?|h)\b/i', $line) === 1) {
            $this->step($line);

            return;
        }
        $herb = $this->words->knownHerb($line);
        $oil = $this->words->oil($line);
        if ($oil !== null && mb_strlen($line) < 60) {
            $this->oils[] = ['id' => $oil['id'], 'ml' => null, 'typed' => ''];
            $this->say($line, 'oil', ucfirst($oil['name']).', with no amount.', true);
        } elseif ($herb !== null && mb_strlen($line) < 60) {
            $this->takeHerb($line, '', $line, null);
        } else {
            $this->say($line, 'unread', 'Not read.', false);
        }
    }

    /** @param  array{id: string, name: string, guess: bool}  $oil */
    private function takeOil(string $line, Amount $amount, string $typed, array $oil, ?Amount $aside): void
    {
        $density = $this->cupboard->carrier($oil['id'])->at20;
        $ml = $amount->kind === Kind::Mass ? $density->volumeOf($amount->value) : $amount->value;
        $says = sprintf('%s of %s.', AmountWriter::plain($ml, Kind::Volume), $oil['name']);
        $guess = $oil['guess'];
        if ($guess) {
            $says .= ' Which oil is not said: olive is a guess.';
        }
        if ($amount->low < $amount->high) {
            $says .= ' The middle of what is written.';
            $guess = true;
        }
        if ($aside !== null) {
            $beside = $aside->kind === Kind::Mass ? $density->volumeOf($aside->value) : $aside->value;
            if (abs($beside / $ml - 1) > 0.12) {
                $says = sprintf('%s of %s, as the brackets say; the two amounts written are not the same.', AmountWriter::plain($beside, Kind::Volume), $oil['name']);
                $guess = true;
            }
            [$ml, $typed] = [$beside, round($beside, 1).' mL'];
        }
        $this->oils[] = ['id' => $oil['id'], 'ml' => $ml, 'typed' => $amount->low < $amount->high ? round($ml, 1).' mL' : $typed];
        $this->say($line, 'oil', $says, $guess);
    }

    private function takeHerb(string $line, string $typed, string $rest, ?Amount $aside): void
    {
        $known = $this->words->knownHerb($rest);
        $form = $this->words->form($rest);
        $state = $this->words->state($rest);
        $name = trim(preg_replace('/\s+/', ' ', preg_replace('/[(,].*$|\b(dried|dry|fresh(ly)?|wilted|chopped|crushed|cut|whole|loosely|lightly|packed|organic|powdered|ground|of)\b/i', ' ', $rest) ?? '') ?? '');
        if ($known === null && ($name === '' || mb_strlen($name) > 40 || str_word_count($name) > 4)) {
            $this->say($line, 'unread', 'Not read.', false);

            return;
        }
        $guesses = [];
        $herb = $known === null ? ['name' => $name, 'form' => $form ?? 'thin-leaf'] : ['id' => $known['id']];
        if ($known === null) {
            $guesses[] = sprintf('“%s” is not in the list; how it is cut is a guess', $name);
        } elseif ($form !== null && in_array($form, ['powder', 'tea-bag'], true)) {
            $herb['form'] = $form;
        }
        if ($state === null) {
            $guesses[] = 'whether it is dried is not said: dried is a guess';
        }
        $herb['state'] = $state ?? 'dried';
        if ($aside !== null && $aside->kind === Kind::Mass) {
            $typed = round($aside->value, 1).' g';
        } elseif ($typed !== '' && preg_match('/\b(cups?|c|tbsp|tsp|tablespoons?|teaspoons?|ml|pints?|quarts?|l)\b/i', $typed) === 1) {
            $guesses[] = 'a volume of herb is weighed by how it usually lies';
        }
        if (preg_match('/-|\bto\b/', $typed) === 1 && preg_match('/\d\s*(-|to)\s*\d/', $typed) === 1) {
            $guesses[] = 'the middle of what is written';
        }
        if ($typed !== '') {
            $herb['amount'] = $typed;
        }
        $this->herbs[] = $herb;
        $this->say($line, 'herb', ucfirst(($known['name'] ?? $name).', '.$herb['state']).'.'.($guesses === [] ? '' : ' '.ucfirst(implode('; ', $guesses)).'.'), $guesses !== []);
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
        if ($this->hours === null && preg_match('/(\d+(?:\.\d+)?(?:\s*(?:-|–|to)\s*\d+(?:\.\d+)?)?\s*(?:weeks?|days?|hours?|hrs?|minutes?|mins?|h))\b/iu', $line, $m) === 1) {
            $amount = $this->words->reading($m[1]);
            if ($amount !== null && $amount->kind === Kind::Time) {
                $this->hours = $amount->value;
                $this->hoursLine = $m[1];
                $said[] = AmountWriter::span($amount->value);
            }
        }
        $this->say($line, $said === [] ? 'step' : 'method', $said === [] ? 'A step; nothing new in it.' : 'Taken as: '.implode(', ', $said).'.', $said !== []);
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
            $notes[] = sprintf('It is written in two systems of measures. A cup is taken as the house’s, %s; look at each amount.', AmountWriter::plain($this->kitchen->writer()->cupMl(), Kind::Volume));
        }
        if ($this->herbs === []) {
            $notes[] = 'No herb was found in it: choose one.';
        }
        if ($this->oils === []) {
            $notes[] = 'No oil was found in it: olive is a guess.';
        }

        return $notes;
    }

    /**
     * @param  list<string>  $notes
     * @return array<string, mixed>
     */
    private function wish(array &$notes): array
    {
        $wish = ['herbs' => array_slice($this->herbs, 0, 6), 'oils' => [['id' => 'olive']]];
        if ($wish['herbs'] === []) {
            $wish['herbs'] = [['id' => 'calendula']];
        }
        $weighed = count(array_filter($wish['herbs'], fn (array $herb) => isset($herb['amount'])));
        if ($weighed > 1 && $weighed < count($wish['herbs'])) {
            $wish['herbs'] = array_values(array_filter($wish['herbs'], fn (array $herb) => isset($herb['amount'])));
            $notes[] = 'Herbs with no amount were left out, for others have one.';
        }
        $byId = [];
        foreach ($this->oils as $oil) {
            $byId[$oil['id']] = ['ml' => ($byId[$oil['id']]['ml'] ?? 0.0) + ($oil['ml'] ?? 0.0), 'typed' => $oil['typed']];
        }
        $byId = array_slice($byId, 0, 6, true);
        if ($byId !== []) {
            $total = array_sum(array_column($byId, 'ml'));
            $some = array_filter($byId, fn (array $oil) => $oil['ml'] > 0);
            $wish['oils'] = array_map(fn (string $id) => ['id' => $id] + (count($byId) > 1 ? ['parts' => (string) round(count($some) === count($byId) ? $byId[$id]['ml'] : 1.0, 2)] : []), array_keys($byId));
            if ($total > 0 && count($some) === count($byId)) {
                $first = array_values($byId)[0];
                $wish['oil_amount'] = count($this->oils) === 1 ? $first['typed'] : round($total, 1).' mL';
            }
        }
        if ($this->method !== null && $this->methodSaid) {
            $wish['method'] = $this->method->id;
        }
        if ($this->hours !== null) {
            $method = $this->method ?? $this->methods->method($this->hours >= 72 ? 'cold' : 'double-boiler');
            $wish['method'] = $method->id;
            $school = $this->nearest($method, $this->hours);
            $wish['school'] = $school->id;
            $notes[] = sprintf('“%s” is taken as %s, %s.', $this->hoursLine, $method->name, $school->name);
        }

        return $wish;
    }

    private function nearest(Method $method, float $hours): School
    {
        $schools = $method->schools;
        usort($schools, fn (School $a, School $b) => abs(log($a->usualH / $hours)) <=> abs(log($b->usualH / $hours)));

        return $schools[0];
    }

    private function say(string $line, string $as, string $says, bool $guess): void
    {
        $this->lines[] = ['line' => $line, 'as' => $as, 'says' => $says, 'guess' => $guess];
    }
}
