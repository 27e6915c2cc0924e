<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Recipe\Kitchen;

/** By when a wish is wanted, since when its jar stands, and when it is to be begun. */
final class SaidWhen
{
    /** A day further off than this is of something else: common practice, no source. */
    private const NEAR_DAYS = 200;

    /** @var list<string> what is told of it */
    public array $told = [];

    public function __construct(private readonly Kitchen $kitchen, private readonly Remainder $left) {}

    /** @return array<string, string> ready_by, begun or start, as a wish has them */
    public function read(): array
    {
        $days = new SaidDay($this->kitchen->today());
        $day = SaidDay::PATTERN;
        $off = SaidDay::OFF;
        $for = 'for\s+(?=(?:the\s+)?\d{1,2}(?:st|nd|rd|th)\b|(?:(?:this|next)\s+)?'.SaidDay::WEEKDAY.'\b|'.NamedDays::PATTERN.')';
        $christmas = NamedDays::CHRISTMAS;
        $ready = '(?:(?:(?:needs?\s+)?to|must|should|has\s+to)\s+be\s+)?(?:ready|wanted|needed|done|finished)\s+';
        $by =
            "(?:{$ready}(?:by|before|until|for|on)\\s+|(?:by|before|until|till)\\s+|".
            "(?=(?:for\\s+)?{$christmas})(?:for\\s+)?|(?:{$for}))";
        $since = '(?:begun|began|started|(?:it\s+)?stand(?:s|ing)\s+since|since|put\s+up|made)';
        $ago = SaidDay::AGO;
        // "Started comfrey in olive on Monday": the day stands by itself.
        $apart = preg_match("/\\b{$since}\\s+(?!(?:on\\s+|the\\s+)*{$day}\\b)/iu", $this->left->text) === 1;
        $on = "/\\bon\\s+((?:the\\s+)?{$day})/iu";
        if ($apart && preg_match($on, $this->left->text, $m) === 1 && $days->read($m[1], false) !== null) {
            $this->left->take($since);
            $this->left->text = preg_replace($on, 'begun $1', $this->left->text, 1) ?? $this->left->text;
        }
        $found = [];
        $asked = false;
        $kinds = [
            'ready_by' => ["{$by}((?:the\\s+)?{$day})|(?:{$ready})?in\\s+({$off})(?:['’]?\\s+time)?", true],
            'begun' => ["{$since}\\s+(?:on\\s+)?((?:the\\s+)?{$day})|({$ago})", false],
            'start' => ["(?:to\\s+)?(?:begin|start)(?:ning|ing)?\\s+(?:on\\s+)?({$day})|from\\s+({$day})(?!['’]s)", true],
        ];
        foreach ($kinds as $field => [$pattern, $ahead]) {
            $m = $this->left->take($pattern);
            $said = $m[2] ?? '' ?: $m[1] ?? '';
            $read = $m === null ? null : $days->read($said, $ahead);
            $past = $field === 'start' && $read !== null ? $this->justPast($days, $said, $read) : null;
            if ($past !== null) {
                $found['begun'] = $past;
            } elseif ($read !== null) {
                $found[$field] = $read;
            } elseif ($m !== null) {
                // "Begun Thursday 10 December", said in November, is when it is to be begun.
                $toCome = $field === 'begun' ? $days->read($said, true) : null;
                if ($toCome !== null && $days->otherWeekday($said, false) !== null) {
                    $found['start'] = $toCome;

                    continue;
                }
                $this->left->putBack($said);
                $asked = true;
                $other = $days->otherWeekday($said, $ahead);
                $other === null || ($this->told[] = $other);
            }
        }

        return $found === [] && ! $asked ? $this->bareDay($days) : $found;
    }

    /** "From 10 October", said in November, is no day of the next year: when it was begun, and told. */
    private function justPast(SaidDay $days, string $said, string $ahead): ?string
    {
        $past = $days->read($said, false);
        $off = fn (string $day): int => (int) $this->kitchen->today()->diff(new \DateTimeImmutable($day))->days;
        if ($past === null || $off($ahead) <= self::NEAR_DAYS || $off($past) > self::NEAR_DAYS) {
            return null;
        }
        $this->told[] = sprintf('“%s” is taken as when it was begun.', $said);

        return $past;
    }

    /**
     * A day of which nobody says what it is: one that is just past is when it was begun, one to come when it is to be ready.
     *
     * @return array<string, string>
     */
    private function bareDay(SaidDay $days): array
    {
        $m = $this->left->take('(?:on\s+)?('.SaidDay::DATE.')');
        if ($m === null) {
            return [];
        }
        foreach (['begun' => false, 'ready_by' => true] as $field => $ahead) {
            $day = $days->read($m[1], $ahead);
            $off = $day === null ? null : $this->kitchen->today()->diff(new \DateTimeImmutable($day));
            $isPast = $off !== null && ($off->invert === 1 || $off->days === 0);
            if ($off !== null && $off->days <= self::NEAR_DAYS && $isPast !== $ahead) {
                $this->told[] = sprintf('“%s” is taken as %s.', $m[1], $ahead ? 'when it is to be ready' : 'when it was begun');

                return [$field => (string) $day];
            }
        }
        $this->left->putBack($m[1]);

        return [];
    }
}
