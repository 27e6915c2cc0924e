<?php

namespace Tests\Core;

use DateTimeImmutable;
use Kettle\Ask\Questions;
use Kettle\Material\Tables;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\KitchenReader;
use Kettle\Recipe\Plan;
use Kettle\Recipe\Planning;
use Kettle\Recipe\WishException;
use Kettle\Share\LotLines;
use Kettle\Share\PastedProduct;
use Kettle\Share\ReadRecipe;
use Kettle\Share\WishSentence;

/** One planning for the tests of the core, on a fixed morning. */
final class Support
{
    private static ?Planning $planning = null;

    public static function planning(): Planning
    {
        return self::$planning ??= new Planning(Tables::shipped());
    }

    /** @param  array<string, mixed>  $house */
    public static function kitchen(array $house = []): Kitchen
    {
        return KitchenReader::read(
            ['now' => '2026-11-24T10:00:00+00:00', 'time_zone' => 'Europe/London', ...$house],
            new DateTimeImmutable('2026-11-24T10:00:00Z'),
            Tables::shipped(),
        );
    }

    /**
     * @param  array<string, mixed>  $wish
     * @param  array<string, mixed>  $house
     */
    public static function plan(array $wish, array $house = []): Plan
    {
        return self::planning()->plan($wish + ['herb' => ['id' => 'marshmallow-root'], 'oils' => ['sunflower']], self::kitchen($house));
    }

    /** In words, as a plain kitchen has them; a tree with all that is said in it. */
    public static function said(mixed $said, ?Kitchen $kitchen = null): mixed
    {
        return ($kitchen ?? self::kitchen())->words()->tell([$said])[0];
    }

    /** @return list<string> what each line of a recipe was taken for, with a star where it was a guess */
    public static function takenAs(ReadRecipe $read): array
    {
        return array_map(fn (array $line) => $line['as'].($line['guess'] ? '*' : ''), $read->lines);
    }

    /**
     * @param  array<string, mixed>  $wish
     * @return list<string> "field: reason" of each fault, none when it can be planned
     */
    public static function faults(array $wish): array
    {
        try {
            self::plan($wish);

            return [];
        } catch (WishException $refused) {
            return array_map(fn (array $fault) => $fault['field'].': '.$fault['reason'], $refused->faults);
        }
    }

    public static function product(string $text): ReadRecipe
    {
        return (new PastedProduct(self::planning()->cupboard(), self::kitchen()))->read($text);
    }

    /** @return array<string, string> the first lot of what stands on a lid */
    public static function lot(string $line): array
    {
        $kitchen = self::kitchen();

        return (new LotLines($kitchen->cupboard(), $kitchen))->read($line)[0]['lot'];
    }

    /** @return array{array<string, string>, ?string} how much of each herb, by its id, and how much oil a recipe has */
    public static function amounts(string $text): array
    {
        $wish = self::pasted($text)->wish;

        return [array_column($wish['herbs'], 'amount', 'id'), $wish['oil_amount'] ?? null];
    }

    /** @param  array<string, mixed>  $house */
    public static function pasted(string $text, array $house = []): ReadRecipe
    {
        return (new Questions(Tables::shipped()))->recipes()->read($text, self::kitchen($house));
    }

    /**
     * A wish in one sentence, read on the morning of 24 November 2026.
     *
     * @return array{wish: array<string, mixed>, unread: list<string>, guesses: list<string>}
     */
    public static function sentence(string $text): array
    {
        $kitchen = self::kitchen();

        return (new WishSentence($kitchen->cupboard(), $kitchen->methods(), $kitchen))->read($text);
    }
}
