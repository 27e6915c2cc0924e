<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Recipe\Sizing;

/** Of which weight of a herb that holds water its ratio is: "1:3 by fresh weight", "1:13 by dry weight". */
final readonly class SaidBasis
{
    private const OF = '(?:(?:by|on|of|for|in)\s+)?(?:(?:its|the|their)\s+)?';

    private const WEIGHT = '[\s-]+(?:weights?(?:\s+basis)?|basis)';

    private const DRY =
        'reckoned\s+(?:as\s+)?dry|'.self::OF.'(?:dry|dried)(?:[\s-]+(?:herb|plant))?(?:'.self::WEIGHT.'|[\s-]+equivalent)';

    private const WET = self::OF.'(?:fresh|wet|green|wilted)(?:[\s-]+(?:herb|plant))?'.self::WEIGHT;

    private const AS_IT_LIES =
        '(?:weighed\s+|taken\s+)?as\s+(?:it|they)\s+lies?|weighed\s+(?:fresh|wet|wilted)|water\s+and\s+all|'.self::WET;

    /** "1:5", "1 to 5", "1 part to 5": without it a weight is of the herb itself. */
    private const RATIO = '/\d\s*(?::|to)\s*\d|\bparts?\b|%/iu';

    /**
     * @param  ?string  $basis as a wish has it; null where it is not said
     * @param  ?string  $state what the herb is by it; null where it does not say
     */
    private function __construct(public ?string $basis, public ?string $state) {}

    public static function in(Remainder $left): self
    {
        $hasRatio = preg_match(self::RATIO, $left->text) === 1;
        if ($hasRatio && $left->take(self::DRY) !== null) {
            return new self(Sizing::DRY, null);
        }
        $said = $hasRatio ? $left->take(self::AS_IT_LIES) : null;
        preg_match('/\b(?:fresh|green|wilted)\b/iu', $said[0] ?? '', $state);

        return new self(
            $said === null ? null : Sizing::AS_IT_LIES,
            match (mb_strtolower($state[0] ?? '')) {
                '' => null,
                'wilted' => 'wilted',
                default => 'fresh',
            },
        );
    }

    /**
     * Herbs as they are by it, where nothing else is said of them.
     *
     * @param  list<array<string, string>>  $herbs as a wish has them
     * @return list<array<string, string>>
     */
    public function statesOf(array $herbs): array
    {
        return $this->state === null ? $herbs : array_map(fn (array $herb) => $herb + ['state' => $this->state], $herbs);
    }
}
