<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Measure\UnitWords;

/** What is said shorter in a wish, said in full, so that one way of reading it is enough. */
final class SaidInFull
{
    private const FOR_THE_MELT = 'The oil for it is planned here; the Melt makes the rest.';

    private const NAME = '\p{L}[\p{L}\'’-]*';

    /** @var list<string> what is told of it */
    public array $told = [];

    public function __construct(private readonly RecipeWords $words, private readonly SaidOils $oils) {}

    public function of(string $text): string
    {
        $this->told = [];
        $text = $this->words->partsInFull($text);
        // "Horse chestnut (conkers)" has two names.
        $text = $this->each('/(\p{L}[\p{L}\'’ -]*?)\s*\(\s*(\p{L}[\p{L}\'’ -]{2,40})\s*\)/u', $text, $this->byOneName(...));
        $of = '(?:for|with|to)\s+(?=\d)';
        $asked = "(?:(?:do|will|would|should)\\s+(?:i|we)\\s+(?:need|want|use|take)\\b(?:\\s+{$of})?|{$of}|(?=(?:for|with|to|at)\\b))";
        $text = $this->each("/\\bhow\\s+(?:much|many)\\s+([^.?!;,]*?)\\s*\\b{$asked}/iu", $text, $this->askedFor(...));
        $short = [
            // "1:5 (w/v)" says by what it is measured, and "1 in 5" is 1:5.
            '/(?<=\d)\s*\(\s*([wv]\/[wv])\s*\)/iu' => ' $1',
            '/\b1\s+in\s+(\d{1,2})(?=\s*(?:[,;.(]|$|[wv]\/[wv]\b))/iu' => '1:$1',
            // "Coconut oil (fractionated)" is another oil than coconut oil.
            '/\b(\p{L}+\s+oil)\s*\(\s*(fractionated|high[\s-]oleic)\s*\)/iu' => '$2 $1',
            '/\(\s*(dried|fresh|wilted|powdered)\s*\)/iu' => ' $1 ',
            // A jar is found anyhow.
            '/[,;]?\s*(?:[-–—]\s*)?\b(?:what|which)(?:\s+size)?(?:\s+of)?\s+jars?\b(?:\s+(?:do|will|would|should)\s+(?:i|we)\s+'.
            '(?:need|want|use|take))?(?:\s+(?:for|to\s+hold)\b)?\s*\??/iu' => ' ',
            // What is in brackets is a piece of its own, and so is what a stroke parts.
            '/[()]|(?<=\s)\/(?=\s)/u' => ' ; ',
            // A name, and behind the colon what goes in.
            '/^(\s*[\p{L}\s\'’-]+\boils?)\s*:(?=\s)/iu' => '$1,',
            '/(?<=\S)\s+plus\s+(?=\S)/iu' => ' and ',
            // "1 oz calendula for every 10 oz of oil" is so much of each.
            RecipeText::PER => ', ',
            '/(?<=\p{L})\s+(?:per|(?:for|to)\s+(?:every|each))\s+(?:an?\s+)?(?=(?:pint|cup|litre|liter|quart)\s+of\b)/iu' => ', 1 ',
            // "Hops 40 g - jojoba 200 ml - 4 weeks" is three.
            '/(?<=\p{L})\s+[-–—]\s+(?=\S)/u' => ', ',
            // What there is.
            '/(?:^|(?<=[,;])|\band\b)\s*(?:(?:i|we)[’\']ve|(?:(?:i|we)\s+)?have|(?:i|we))(?:\s+got)?\s+(?:only\s+|just\s+)?'.
            '(?=\d|an?\b|some\b|about\b)/iu' => ' , ',
            '/\bstrain(?:ed)?\s+(?:it\s+|them\s+)?after\s+(?=(?:about\s+)?\d)/iu' => ' for ',
            // "Olive 4 parts" is four parts of it.
            '/(?<=[,;.]|\bto\b|\band\b|^)\s*((?:[\p{L}\'’-]+\s+){1,4})(\d+(?:\.\d+)?)\s+parts?'.
            '(?=\s*(?:[,;.]|\bto\b|\band\b|$))/iu' => ' $2 parts $1 ',
            '/\b(?:sun|air|freeze|frost)[\s-]+dried\b/iu' => 'dried',
            RecipeWords::FROZEN => 'fresh',
            '/\b(?:in\s+)?(?:anything|any(?:\s+oil)?)\s+(?:but|except)\s+/iu' => '; not ',
            '/(?<=\S)\s+(?:using|use)\s+(?:all\s+(?:of\s+)?)?(?:my\s+|our\s+|the\s+)?/iu' => ' with ',
            // How the herb was dried is no time in the oil.
            '/\b(?:let|leave|left)\s+(?:(?:it|them|the\s+\p{L}+)\s+)?(?:to\s+)?wilt(?:ed)?(?:\s+(?:for\s+)?(?:about\s+)?(?:\d[\d.]*|an?)'.
            '\s*(?:h|hrs?|hours?|days?|night)\b)?/iu' => ' wilted ',
            '/\b(wilted)\s+(?:for\s+)?(?:about\s+)?\d[\d.]*(?:\s*(?:-|–|to)\s*\d+)?\s*(?:h|hrs?|hours?|days?)\b/iu' => '$1',
            '/\b(dried|wilted)\s+(?:for\s+(?:about\s+)?'.
            '(?:\d[\d.]*(?:\s*(?:-|–|to)\s*\d+)?|an?|some|few|several)\s*(?:h|hrs?|hours?|days?|weeks?)'.
            '|overnight|over\s+night)\b/iu' => '$1',
            '/\bday\s+(\d{1,3})\s+(?:today|now|already|by\s+now)\b/iu' => '; $1 days ago;',
            '/\b(?:since\s+a\s+fortnight|for\s+a\s+fortnight\s+now|a\s+fortnight\s+ago)\b/iu' => '; 2 weeks ago;',
            '/\ba\s+fortnight\b/iu' => '2 weeks',
            '/\b(?:the\s+)?first\s+of\s+(?='.SaidDay::ANY_MONTH.'\b)/iu' => '1 ',
            // How long it stands by now is since when, and no time that it is to stand.
            '/(?:\babout\s+)?\b(\d{1,2})\s+(day|week|month)s?\s+(?:old|now|in(?=\s*(?:[;,.]|$)))(?=\W|$)/iu' => '; $1 $2s ago;',
            '/\b(?:has\s+|have\s+)?been\s+(?:going|standing|steeping|infusing|sitting|in)\s+(?:for\s+)?(?:about\s+)?(\d{1,2})\s+'.
            '(day|week|month)s?\b/iu' => '; $1 $2s ago;',
            '/(?<=\S)\s+infused(?=\s+with\b)/iu' => '',
            '/(\d\s+parts?\s+[\p{L}\'’ -]+?)(?<!\bto|\band|\bin|\bwith)\s+(?=\d+(?:\.\d+)?\s+parts?\b)/iu' => '$1, ',
            // "100 g comfrey to 1 L sunflower" is the one in the other.
            '/(?<=\p{L})\s+to\s+(?=\d[\d.\/]*\s*'.UnitWords::ANY.'\b)/iu' => ', ',
            '/\buse\s+up\s+(?=\d)/iu' => '',
            '/\b(?:an?\s+|the\s+)?(?:blend|mix(?:ture)?|combination)\s+of\s+(?=\p{L}|\d)/iu' => '',
            '/\b(?:use\s+(?:up\s+)?)?(?:all\s+)?(?:the\s+)?(?:last|rest|remainder|end)\s+of\s+(?:the|my|our)\s+/iu' => '',
            // "1 oz arnica: 5 oz oil".
            '/(?<=\p{L})\s*:\s*(?=\d[\d.\/]*\s*(?:'.UnitWords::ANY.'|parts?)\b)/iu' => ', ',
            // Of several alike, each is one part anyhow.
            '/\b(?:in\s+)?equal\s+(?:parts|amounts?|measures|quantities|weights?)\b(?:\s+(?:of|for)\b)?(?:\s+(?:each|all)\b)?|'.
            '\b(?:the\s+)?same\s+(?:amount\s+|weight\s+|quantity\s+)?(?:of|for)\s+each\b|\bas\s+much\s+of\s+each\b|'.
            '\bhalf[\s-]+and[\s-]+half\b/iu' => '',
            // As much of it as there has to be: that is reckoned.
            '/\bas\s+much\s+([\p{L} -]{3,40}?)\s+as\s+(?:it|they|the\s+\p{L}+|(?:is|are)\s+(?:needed|wanted))(?:\s+'.
            '(?:takes?|needs?|wants?|drinks?|will\s+take|requires?))?\b/iu' => ' in $1',
            '/(?:\band\s+|\bthen\s+)?\b(?:leave|let)(?:\s+(?:it|them))?'.
            '(?:\s+(?:to\s+)?(?:stand|sit|steep|infuse))?(?=\s+(?:\d|in|on|for)\b)/iu' => ';',
            '/(^|[;,.]|\band\b|\bthen\b)\s*(?:(?:put(?!\s+up\b)|take|use|using|add|weigh(?:\s+out)?|mix)\s+(?=\p{L}|\d)|'.
            '(?:gently\s+)?(?:warm|heat)\s+(?=\d|an?\b|some\b|the\b))/iu' => '$1 ',
            '/\b(?:\d+|two|three|four|five)[\s-]+herbs?\b\s*:?/iu' => '',
            '/^\s*(?:(?:can|could|would|will)\s+you\s+(?:please\s+)?(?:plan|make|do|work\s+out|reckon)|plan)\b/iu' => '',
        ];
        $text = $this->inProportion($this->words->withoutCommasInNames($text));
        foreach ($short as $pattern => $full) {
            $text = preg_replace($pattern, $full, $text) ?? $text;
        }
        $text = $this->each('/[\s-]+infused\s+([\p{L}-]+(?:\s+[\p{L}-]+)?\s+oil)\b/iu', $text, $this->inOil(...));
        $text = $this->each(
            '/\s+(?:(?:and\s+|then\s+)?(?:cover|top|fill)(?:p?ed)?(?:\s+(?:it|them))?(?:\s+up)?\s+with|under|beneath)\s+'.
                '((?:'.
                self::NAME.
                '\s*){1,3})/iu',
            $text,
            $this->inOil(...),
        );

        // "Calendula/olive 300 mL" is the one in the other.
        $text = $this->each(
            '/(?<!\p{L})(\p{L}{3,})\/(\p{L}{3,})/u',
            $text,
            fn (array $m) => $this->oils->isOil($m[2]) && ! $this->oils->isOil($m[1]) && $this->words->knownHerb($m[1]) !== null
                ? "{$m[1]} in {$m[2]}"
                : $m[0],
        );

        return $this->forWhat($this->blended($text));
    }

    /** "2:1 calendula to plantain", "calendula 2 parts plantain 1 part": parts of two herbs, or of two oils, and no ratio. */
    private function inProportion(string $text): string
    {
        $word = '(?!(?:in|into|with|to|and)\b)'.self::NAME;
        $herb = fn (string $as): string => "(?<{$as}>{$word}(?:\\s+{$word}){0,2}?)";
        $number = fn (string $as): string => "(?<{$as}>\d+(?:\.\d+)?)";
        $ends = '(?=\s+in\b|\s*[,;.]|\s*$)';
        $colon = $number('much').'\s*:\s*'.$number('less').'(?!\d)';
        $said = [
            "\b{$colon}\s+(?:of\s+)?{$herb('one')}\s+(?:to|and|:)\s+{$herb('other')}{$ends}",
            "\b{$herb('one')}\s*(?:\bto\b|\band\b|&|:)\s*{$herb('other')}\s*,?\s+\(?{$colon}\)?",
            "^\s*{$herb('one')}\s+{$number('much')}\s+parts?\s*(?:,|;|\band\b)?\s*{$herb('other')}\s+{$number('less')}\s+parts?{$ends}",
        ];
        foreach ($said as $pattern) {
            $text = $this->each("/{$pattern}/iu", $text, $this->twoInParts(...));
        }

        return $text;
    }

    /** @param  array<string>  $m two names, and how many parts of each */
    private function twoInParts(array $m): string
    {
        [$one, $other] = [$m['one'], $m['other']];
        $areOils = $this->oils->isOil($one) && $this->oils->isOil($other);
        $areHerbs =
            $this->words->knownHerb($one) !== null &&
            $this->words->knownHerb($other) !== null &&
            ! $this->oils->isOil($one) &&
            ! $this->oils->isOil($other);
        // "Calendula and plantain 1:5" is so much of both to so much of oil.
        $isRatio = preg_match('/\band\b|&/iu', $m[0]) === 1 && str_contains($m[0], ':') && (float) $m['much'] < (float) $m['less'];
        if ($isRatio || (! $areOils && ! $areHerbs)) {
            return $m[0];
        }
        if (str_contains($m[0], ':')) {
            $this->told[] = sprintf('“%s:%s” is taken as parts of the %s.', $m['much'], $m['less'], $areOils ? 'oils' : 'herbs');
        }

        return " ; {$m['much']} parts {$one} and {$m['less']} parts {$other} ; ";
    }

    /** @param  callable(array<string>): string  $full */
    private function each(string $pattern, string $text, callable $full): string
    {
        return preg_replace_callback($pattern, $full, $text) ?? $text;
    }

    /** @param  array<string>  $m an oil said to be infused, or what the herb is covered with; one that is known is what it is in */
    private function inOil(array $m): string
    {
        return $this->oils->isOil($m[1]) ? ' in '.$m[1] : $m[0];
    }

    /** @param  array<string>  $m what it is asked how much is wanted of: that is reckoned, and it is what was named */
    private function askedFor(array $m): string
    {
        return match (true) {
            preg_match('/^(?:of\s+)?(?:the\s+|an?\s+)?oils?$|^$/iu', $m[1]) === 1 => '; ',
            $this->oils->isOil($m[1]) => " in {$m[1]}; ",
            default => "; {$m[1]}; ",
        };
    }

    /** "Half olive, half castor", "70% olive 30% castor", "olive and castor 1:1": an oil of two, and how much of each. */
    private function blended(string $text): string
    {
        $word = '(?!(?:in|into|with)\b)'.self::NAME;
        $oil = fn (string $as): string => "(?<{$as}>(?:{$word}\\s+)?{$word})";
        $apart = '\s*(?:,|;|\+|&|\/|\band\b)\s*';
        $said = [
            "\\bhalf\\s+(?:of\\s+)?{$oil('one')}(?:{$apart}|\\s+(?=half\\b))(?:the\\s+other\\s+)?half\\s+(?:of\\s+)?{$oil('other')}",
            "(?<![\\d.])(?<much>\\d{1,2})\\s*[:\\/]\\s*(?<less>\\d{1,2})\\s+(?:of\\s+)?{$oil('one')}(?:{$apart}|\\s+to\\s+){$oil('other')}",
            "(?<much>\\d{1,2})\\s*%\\s*(?:of\\s+)?{$oil('one')}(?:{$apart}|\\s+)(?<less>\\d{1,2})\\s*%\\s*(?:of\\s+)?{$oil('other')}",
            "\\b{$oil('one')}\\s*(?:\\+|&|\\band\\b)\\s*{$oil(
                'other',
            )}\\s+\\(?(?<much>\\d{1,2})\\s*[:\\/]\\s*(?<less>\\d{1,2})(?![\\d:])\\)?",
        ];
        foreach ($said as $pattern) {
            $text = $this->each("/{$pattern}/iu", $text, $this->inParts(...));
        }

        // Halves of two herbs are what is taken anyhow.
        return preg_replace('/\b50\s*\/\s*50\b/u', '', $text) ?? $text;
    }

    /** @param  array<string>  $m two oils by name, and how many parts of each; halves where that is not said */
    private function inParts(array $m): string
    {
        [$before, $one] = ['', $m['one']];
        // "In olive", "g olive": of two words before it the first may be another.
        if ($this->oils->named($one) === null && preg_match('/^(\S+\s+)(\S+)$/u', $one, $words) === 1) {
            [, $before, $one] = $words;
        }
        if (! $this->oils->isOil($one) || ! $this->oils->isOil($m['other'])) {
            return $m[0];
        }
        [$much, $less] = [$m['much'] ?? '1', $m['less'] ?? '1'];
        if (str_contains($m[0], ':')) {
            $this->told[] = sprintf('“%s:%s” is taken as parts of the oils.', $much, $less);
        }

        return "{$before}{$much} parts {$one} and {$less} parts {$m['other']}";
    }

    /** @param  array<string>  $m a name, and what stands in brackets behind it */
    private function byOneName(array $m): string
    {
        [$id, $other] = [$this->words->knownHerb($m[1])['id'] ?? '', $this->words->knownHerb($m[2])['id'] ?? ''];

        // "Rosemary (fresh rosemary)" says more than another name.
        return $id !== '' && $id === $other && $this->words->state($m[2]) === null ? $m[1] : $m[0];
    }

    /** "Rosemary hair oil", "a calendula salve": the oil, and what it is for. */
    private function forWhat(string $text): string
    {
        // Behind "for" it is said in full already.
        $not = '(?<!\bfor|\bfor\sa|\bfor\sthe|\bfor\smy|\bfor\sour|\bfor\ssome|\bfirm|\bsoft)\s+';
        $text =
            preg_replace(
                "/{$not}(hair|scalp|beard|face|facial|body|massage|muscle|perfume|cooking|kitchen|salad)\\s+oil\\b/iu",
                ' oil for the $1',
                $text,
            ) ?? $text;
        $text = preg_replace('/(?<=\p{L})\s+confit\b(?:\s+oil\b)?/iu', ' oil for the kitchen', $text) ?? $text;
        // Neither lemon balm nor bee balm is a balm.
        $plants = $this->words->balmsThatGrow();
        $masked = $this->each($plants, $text, fn (array $m) => str_replace(' ', '_', $m[0]));
        $made = preg_replace("/(?<=\\p{L}){$not}(salve|balm|ointment)\\b/iu", ' oil for a $1', $masked) ?? $masked;
        if ($made !== $masked) {
            $this->told[] = self::FOR_THE_MELT;
        }

        return $this->each('/\p{L}+(?:_\p{L}+)+/u', $made, fn (array $m) => str_replace('_', ' ', $m[0]));
    }
}
