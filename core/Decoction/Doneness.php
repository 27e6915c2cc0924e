<?php

declare(strict_types=1);

namespace Kettle\Decoction;

/**
 * Whether a long oil is done: when four signs agree, and not before. Water in the paste crackles, and spoils; past it the paste
 * burns. Common practice, no source.
 */
final readonly class Doneness
{
    public const DONE = 'done';

    public const NOT_YET = 'not-yet';

    public const PAST = 'past';

    /** What may be seen of each sign; of the froth it depends on the fat. */
    public const SEEN = [
        'flame' => ['quiet', 'crackles'],
        'froth' => ['stands', 'none'],
        'wick' => ['sticks', 'breaks', 'rolls', 'crumbles'],
        'senses' => ['right', 'raw', 'burnt'],
    ];

    public const FATS = ['oil', 'butterfat'];

    /** How firm the paste is, and so what the oil is for. */
    private const FIRMNESS = ['breaks' => 'soft', 'rolls' => 'middle', 'crumbles' => 'hard'];

    /**
     * @param  self::DONE|self::NOT_YET|self::PAST  $verdict
     * @param  list<string>  $why codes: the signs that say otherwise, and "look-" those nobody looked at
     * @param  ?string  $firmness soft, middle or hard; null where the paste says nothing yet
     */
    private function __construct(public string $verdict, public array $why, public ?string $firmness) {}

    /**
     * @param  array<string, ?string>  $seen by sign, of SEEN; null or left out where nobody looked
     *
     * @throws DecoctionException
     */
    public static function of(array $seen, string $fat = 'oil'): self
    {
        if (! in_array($fat, self::FATS, true)) {
            throw DecoctionException::sign('fat', $fat, self::FATS);
        }
        $why = [];
        foreach (self::SEEN as $sign => $may) {
            $is = $seen[$sign] ?? null;
            if ($is === null) {
                $why[] = "look-{$sign}";

                continue;
            }
            if (! in_array($is, $may, true)) {
                throw DecoctionException::sign($sign, $is, $may);
            }
            if (! self::agrees($sign, $is, $fat)) {
                $why[] = $sign === 'froth' ? "froth-{$fat}" : "{$sign}-{$is}";
            }
        }
        $wick = $seen['wick'] ?? null;
        // What is burnt, or crumbles with no water left in it, has gone too far.
        $past = ($seen['senses'] ?? null) === 'burnt' || ($wick === 'crumbles' && ($seen['flame'] ?? null) !== 'crackles');

        return new self(
            match (true) {
                $past => self::PAST,
                $why === [] => self::DONE,
                default => self::NOT_YET,
            },
            $why,
            $wick === null ? null : self::FIRMNESS[$wick] ?? null,
        );
    }

    private static function agrees(string $sign, string $is, string $fat): bool
    {
        return match ($sign) {
            'flame' => $is === 'quiet',
            // On oil froth stands when the water is gone; on butterfat it goes.
            'froth' => ($is === 'stands') === ($fat === 'oil'),
            'wick' => $is === 'rolls',
            default => $is === 'right',
        };
    }
}
