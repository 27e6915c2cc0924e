<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Measure\UnitWords;

/** How much herb to how much oil, as a sentence says it: "1:5 w/v", "1 part to 4 parts", "a 20 % infusion". */
final class SaidRatio
{
    /** A strength in per cent beyond these is of something else: common practice, no source. */
    private const WEAKEST_PERCENT = 2;

    private const STRONGEST_PERCENT = 50;

    /** @var list<string> what is told of it */
    public array $told = [];

    public function __construct(private readonly RecipeWords $words, private readonly SaidOils $oils) {}

    /**
     * @param  ?string  $parts of herb and of oil, where they are told in parts
     * @return array<string, string>
     */
    public function in(Remainder $left, ?string $parts): array
    {
        if ($parts !== null && preg_match('/^([\d.]+)\D+([\d.]+)/', $parts, $m) === 1) {
            return ['ratio' => "{$m[1]}:{$m[2]} v/v"];
        }
        $m = $left->take(
            '(?:at\s+(?:a\s+ratio\s+of\s+)?)?(?:herb\s+to\s+oil\s+)?(\d+(?:\.\d+)?)\s*(?::|to)\s*(\d+(?:\.\d+)?)'.
                '(\s*(?:w\/w|w\/v|v\/v|by\s+(?:weight|volume)))?(?!\s*(?:(?:h|hrs?|hours?|days?|weeks?|months?|min|minutes?)\b|'.
                SaidAmount::MEASURES.
                '))',
        );

        if ($m !== null && (float) $m[1] > (float) $m[2]) {
            // Of herb there is never more than of oil: it is of two herbs, or the other way round.
            $this->told[] = sprintf('“%s” would be more herb than oil. Say how much herb to how much oil: 1:5.', trim($m[0]));

            return [];
        }

        return $m === null ? $this->strength($left) : ['ratio' => $m[1].':'.$m[2].WrittenAmounts::measuredBy($m[3] ?? '')];
    }

    /**
     * "1 part calendula to 5 parts olive": as the parts of all of them are, where all are told in parts.
     *
     * @param  list<array<string, string>>  $herbs
     * @param  list<array<string, string>>  $oils as a wish has them
     * @param  ?float  $anyOil parts of an oil that is not named
     * @return ?string as a wish has it
     */
    public function ofParts(array $herbs, array $oils, ?float $anyOil, string $text): ?string
    {
        $ofHerb = array_map(floatval(...), array_column($herbs, 'parts'));
        $ofOil = [...array_map(floatval(...), array_column($oils, 'parts')), ...$anyOil === null ? [] : [$anyOil]];
        // Of several herbs and several oils the parts may be of each by themselves.
        $isOfAll = count($herbs) === 1 || count($oils) <= 1;
        $isWhole = $isOfAll && $ofHerb !== [] && count($ofHerb) === count($herbs) && array_sum($ofOil) > 0 && count($ofOil) >= count($oils);
        if (! $isWhole || array_column($herbs, 'amount') !== [] || array_sum($ofHerb) > array_sum($ofOil)) {
            return null;
        }
        [$herb, $oil] = [round(array_sum($ofHerb), 3), round(array_sum($ofOil), 3)];
        $by = WrittenShort::partsBy($text);
        $this->told[] = sprintf('Parts are taken by %s: %s of herb to %s of oil.', $by, $herb, $oil);

        return "{$herb}:{$oil}".WrittenAmounts::measuredBy($by);
    }

    /**
     * "7 g lavender per 100 ml, 1 litre": so much to each, where how much oil there is stands beside it.
     *
     * @return array{ratio: string}|null
     */
    public function toEach(Remainder $left): ?array
    {
        $was = $left->text;
        $m = $left->take(
            '(\d+(?:\.\d+)?)\s*g(?:rams?)?(?:\s*\/\s*|\s+((?:of\s+)?(?:[\p{L}\'’-]+\s+){0,4}?)(?:per|(?:to|for|in)\s+(?:each|every))\s+)'.
                '(\d+(?:\.\d+)?\s*)?(ml|millilit(?:re|er)s?|l|lit(?:re|er)s?)(?:\s+of(?=\s))?',
        );
        $ml = ((float) ($m[3] ?? 0) ?: 1.0) * (stripos($m[4] ?? '', 'm') === 0 ? 1 : 1000);
        // More herb than oil is of something else.
        $isRatio = $m !== null && (float) $m[1] > 0.0 && (float) $m[1] <= $ml;
        if (! $isRatio || preg_match('/\d\s*(?:'.UnitWords::CAPACITY.')(?!\p{L})/iu', $left->text) !== 1) {
            $left->text = $was;

            return null;
        }
        $left->putBack($m[2]);
        $ratio = '1:'.round($ml / (float) $m[1], 2);
        $said = preg_replace('/\s+of$/iu', '', trim($m[0]));
        $this->told[] = sprintf('“%s” is taken as %s, grams to mL.', $said, $ratio);

        return ['ratio' => "{$ratio} w/v"];
    }

    /**
     * "10 % calendula", "a 20 % w/v infusion": so much herb to a hundred of oil. The share of an oil, or of what goes in when it
     * is strained, is none, nor are shares of several things.
     *
     * @return array{}|array{ratio: string}
     */
    private function strength(Remainder $left): array
    {
        $share = '/(\d{1,2}(?:\.\d+)?)\s*%(\s*(?:w\/w|w\/v|v\/v|by\s+(?:weight|volume)))?/iu';
        if (preg_match_all($share, $left->text, $all, PREG_OFFSET_CAPTURE) !== 1) {
            return [];
        }
        [[$said, $at]] = $all[0];
        [$before] = array_reverse(preg_split('/[;,.]/u', substr($left->text, 0, $at)) ?: ['']);
        [$after] = preg_split('/[;,.]|\b(?:in|with|and)\b/u', substr($left->text, $at + strlen($said))) ?: [''];
        $percent = (float) $all[1][0][0];
        $ofHerb =
            preg_match('/^\s*(?:strength|infusion)\b/iu', $after) === 1 ||
            ($this->words->knownHerb(trim($after) ?: $before) !== null &&
                ! $this->oils->isNone($after) &&
                ! $this->oils->isOil(trim($after) ?: $before));
        if (! $ofHerb || $percent < self::WEAKEST_PERCENT || $percent > self::STRONGEST_PERCENT) {
            return [];
        }
        $left->text = substr_replace($left->text, ' ', $at, strlen($said));
        $left->take('strength');
        $parts = (string) round(100 / $percent, 1);
        $this->told[] = sprintf('“%s” is taken as 1 part of herb to %s of oil.', trim($said), $parts);

        return ['ratio' => "1:{$parts}".WrittenAmounts::measuredBy($all[2][0][0] ?? '')];
    }
}
