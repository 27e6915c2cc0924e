<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Caution\ColdStorage;
use Kettle\Recipe\Numbers;

/** How an oil for the kitchen is kept, as it is said: "kept in the fridge", "soured first". */
final readonly class SaidKept
{
    private const FRIDGE = 'in(?:to)?\s+(?:(?:the|a|my|our)\s+)?(?:fridge|refrigerator)';

    private const COLD =
        '(?:(?:to\s+be|to|and|then|straight)\s+)*(?:(?:keep|kept|keeps|stored?|put|goes)(?:\s+it)?\s+(?:straight\s+)?'.
        '(?:cold|cool(?=\s+in)|chilled|refrigerated|'.
        self::FRIDGE.
        ')(?:\s+'.
        self::FRIDGE.
        ')?|refrigerated)(?:\s+(?:for\s+)?(\d{1,2})\s+(days?|weeks?|months?))?';

    private const SOURED = '(?:herbs?\s+)?(?:soured|acidified)(?:\s+first)?';

    private function __construct(private ?string $kept, private string $typed, private bool $isLonger) {}

    public static function in(Remainder $left): self
    {
        $cold = $left->take(self::COLD);
        if ($cold !== null) {
            $isLonger =
                ($cold[1] ?? '') !== '' && (! str_starts_with(mb_strtolower($cold[2] ?? ''), 'd') || (int) $cold[1] > ColdStorage::DAYS);

            return new self(ColdStorage::FRIDGE, trim($cold[0]), $isLonger);
        }
        $soured = $left->take(self::SOURED);

        return new self($soured === null ? null : ColdStorage::SOURED, trim($soured[0] ?? ''), false);
    }

    /**
     * Only of an oil for the kitchen is it reckoned with.
     *
     * @param  ?string  $purpose as a wish has it
     * @return array{wish: array<string, string>, told: list<string>}
     */
    public function of(?string $purpose, Remainder $left): array
    {
        if ($this->kept === null) {
            return ['wish' => [], 'told' => []];
        }
        if ($purpose !== 'kitchen') {
            $left->putBack($this->typed);

            return ['wish' => [], 'told' => []];
        }
        $told = sprintf('“%s” is taken as kept cold for %s days, and no longer.', $this->typed, Numbers::word(ColdStorage::DAYS));

        return ['wish' => ['kept' => $this->kept], 'told' => $this->isLonger ? [$told] : []];
    }
}
