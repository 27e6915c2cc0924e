<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Counts;
use Kettle\Material\Cupboard;
use Kettle\Material\Lying;
use Kettle\Material\State;
use Kettle\Measure\Amount;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;

/** The herb that a line of a recipe speaks of, in which state, and how much so many of them weigh. */
final readonly class HerbLine
{
    /** Cloves of which it is not said of what; whole or ground ones are the spice. */
    private const CLOVES =
        '/^(?:(?:fat|large|big|small|medium|fresh|peeled)\s+)*cloves?(?:[\s,(]+'.
        '(?:peeled|crushed|chopped|minced|sliced|smashed|bruised|and|finely|roughly|fresh))*\)?$/iu';

    public function __construct(private Cupboard $cupboard, private RecipeWords $words, private Counts $counts) {}

    /**
     * The herb a text speaks of, as a wish has it. Where it does not say dried, ground or powder, what is counted, and what
     * is a kitchen's plant, is taken to be fresh: to be wrong that way harms nobody.
     *
     * @param  ?string  $state where it is said
     * @param  array{string, string}|null  $done as GatheredRecipe has it: the state by what is done, and the line that says so
     * @param  bool  $counted whether a number of them is written before it
     * @param  bool  $eaten whether the oil is for the kitchen
     * @return array{array<string, string>|null, string, list<string>} its name, and what was guessed; null where there is none
     */
    public function of(string $rest, bool $counted, bool $eaten, ?string $state, ?array $done = null): array
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
        $name = $known === null ? $this->words->otherPart($rest) ?? $name : $name;
        if ($known === null && ($name === '' || mb_strlen($name) > 40 || str_word_count($name) > 4)) {
            return [null, '', []];
        }
        $guesses = [];
        $herb = $known === null ? ['name' => $name, 'form' => $form ?? 'thin-leaf'] : ['id' => $known['id']];
        if ($known === null) {
            $guesses[] = PlantPart::notListed($name);
        } elseif ($known['other'] !== null) {
            $guesses[] = PlantPart::standsFor($known['other'], $known['name']);
        }
        if ($known !== null && $form !== null && $this->cupboard->form($form)->traits->powder) {
            $herb['form'] = $form;
        }
        $plant = $known === null ? null : $this->cupboard->herb($known['id']);
        // A powder or a tea bag is dry by nature.
        $dry = $this->cupboard->form($herb['form'] ?? ($plant->form ?? 'thin-leaf'))->waterFresh === null;
        if ($state === null && ! $dry) {
            $fresh = $counted || $eaten || ($plant !== null && $plant->isWatery());
            $state = $done[0] ?? ($fresh ? 'fresh' : 'dried');
            $guesses[] =
                $done === null ? sprintf('whether it is dried is not said: %s is a guess', $state) : sprintf('%s, by “%s”', ...$done);
        }
        $herb['state'] = $state ?? 'dried';

        return [$herb, $known['name'] ?? $name, $guesses];
    }

    /**
     * So much of a herb: how a measured one lies stays with the amount, "2 cups, packed".
     *
     * @param  ?Amount  $amount as it was read of what is typed
     * @param  ?Amount  $aside what is written beside it in brackets
     * @return array{array<string, string>|null, string, list<string>} as of()
     */
    public function measured(?Amount $amount, string $typed, string $rest, ?Amount $aside, GatheredRecipe $got): array
    {
        $volume = $amount?->kind === Kind::Volume;
        [$bare, $lies] = $volume ? Lying::in($rest) : [$rest, null];
        $state = $this->words->state($bare) ?? ($got->states[$this->words->knownHerb($bare)['id'] ?? ''] ?? null);
        [$herb, $name, $guesses] = $this->of($bare, false, $got->purpose === 'kitchen', $state, $got->done);
        $weighed = $amount?->kind === Kind::Mass && $amount->low === $amount->high && preg_match(OilLine::METRIC, $typed) === 1;
        if ($aside !== null && $aside->kind === Kind::Mass && ! $weighed) {
            $typed = round($aside->value, 1).' g';
        } elseif ($volume && $lies !== null) {
            $typed .= ', '.$lies->value;
        } elseif ($volume) {
            $guesses[] = 'a volume of herb is weighed by how it usually lies';
        }
        if (preg_match('/(?<![\d])\d+(?:\.\d+)?\s*(-|–|to)\s*\d+(?!\s*\/)/u', $typed) === 1) {
            $guesses[] = 'the middle of what is written';
        }

        return [$herb === null ? null : $herb + ($typed === '' ? [] : ['amount' => $typed]), $name, $guesses];
    }

    /**
     * "4 cloves of garlic": so many of them, with what they weigh, about.
     *
     * @return array{array<string, string>|null, string, list<string>} as of()
     */
    public function counted(float $least, float $most, string $rest, GatheredRecipe $got): array
    {
        $state = $this->words->state($rest);
        $garlic = preg_match(self::CLOVES, trim($rest, ' .,')) === 1;
        [$herb, $name, $guesses] = $this->of($garlic ? 'garlic' : $rest, true, $got->purpose === 'kitchen', $state, $got->done);
        if ($herb === null) {
            return [null, '', []];
        }
        $known = isset($herb['id']) ? $this->cupboard->herb($herb['id']) : null;
        $each = $this->counts->of($rest, $known, State::from($herb['state']));
        if ($each === null && $state === null && ($other = $this->counts->of($rest, $known, null)) !== null) {
            // A stick of cinnamon is never fresh.
            $each = $other;
            [$herb, $name, $guesses] = $this->of($rest, true, $got->purpose === 'kitchen', $other['state']->value);
        }
        [, $aside] = $this->words->amounts->aside($rest);
        if ($garlic) {
            $guesses[] = 'cloves are taken to be of garlic; if the spice is meant, change it';
        }
        if ($aside?->kind === Kind::Mass) {
            $herb['amount'] = round($aside->value, 1).' g';
        } elseif ($each === null) {
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

        return [$herb, $name, $guesses];
    }
}
