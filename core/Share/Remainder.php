<?php

declare(strict_types=1);

namespace Kettle\Share;

/** What is left of a text while one thing after the other is understood and taken out of it. */
final class Remainder
{
    /** Stands where something was taken out, so that what was before it and what was after it are not read as one. */
    private const GAP = ' ; ';

    public string $text;

    public function __construct(string $text)
    {
        $this->text = ' '.trim(preg_replace('/\s+/u', ' ', $text) ?? $text).' ';
    }

    /**
     * Takes what is like this out of what is left, the first of it only.
     *
     * @return list<string>|null
     */
    public function take(string $pattern): ?array
    {
        if (preg_match('/(?<![\p{L}\d]|\d[.\/])(?:'.$pattern.')(?![\p{L}\d])/iu', $this->text, $m, PREG_OFFSET_CAPTURE) !== 1) {
            return null;
        }
        $this->text = substr($this->text, 0, $m[0][1]).self::GAP.substr($this->text, $m[0][1] + strlen($m[0][0]));

        return array_values(array_map(fn (array $each) => (string) $each[0], $m));
    }

    public function putBack(string $words): void
    {
        $this->text .= self::GAP.$words;
    }
}
