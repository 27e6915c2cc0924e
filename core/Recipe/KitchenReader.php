<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\Availability;
use Kettle\Diary\DiaryException;
use Kettle\Material\Cupboard;
use Kettle\Material\Own;
use Kettle\Material\OwnException;
use Kettle\Material\OwnReader;
use Kettle\Material\Tables;
use Kettle\Measure\AmountReader;
use Kettle\Measure\MeasureSystem;
use Kettle\Reason\RefusedException;
use Kettle\Stores\Lot;
use Kettle\Stores\LotKind;
use Kettle\Stores\LotReader;
use Kettle\Stores\LotsException;
use Kettle\Vessel\Jar;

/** Reads the "house" part of a wish document, for use without an application around it. */
final class KitchenReader
{
    /**
     * @param  array<mixed>  $house time_zone, waking {from, to}, measures, drops_per_ml, room_c, things, currency,
     *     lots, own; all may be left out
     * @param  ?Cupboard  $cupboard of those tables, where one is at hand: reading them costs more than a plan
     * @param  \DateTimeImmutable  $now used when the house gives no "now"
     *
     * @throws WishException
     */
    public static function read(array $house, \DateTimeImmutable $now, Tables $tables, ?Cupboard $cupboard = null): Kitchen
    {
        $cupboard ??= new Cupboard($tables);
        $cupboard =
            ($house['own'] ?? []) === []
                ? $cupboard
                : new Cupboard($tables, self::own($house['own'], $tables, self::custom($house['measures'] ?? null)));
        try {
            $waking = is_array($house['waking'] ?? null) ? $house['waking'] : [];
            $measures = $house['measures'] ?? 'us';
            $drops = $house['drops_per_ml'] ?? AmountReader::DROPS_PER_ML;

            $kitchen = new Kitchen(
                self::now($house, $now),
                Availability::between(self::text($waking, 'from', '07:00'), self::text($waking, 'to', '22:30')),
                (is_string($measures) ? MeasureSystem::tryFrom($measures) : null) ??
                    throw WishException::one('house.measures', 'unknown', 'Measures are us, metric, australian or imperial.'),
                (is_int($drops) || is_float($drops)) && $drops >= 5 && $drops <= 60
                    ? (float) $drops
                    : throw WishException::one(
                        'house.drops_per_ml',
                        'out_of_range',
                        'A dropper gives between 5 and 60 drops to the millilitre.',
                    ),
                self::shippedJars($tables),
                $cupboard,
                roomC: self::room($house),
                things: is_array($house['things'] ?? null) ? self::things(array_values($house['things']), $cupboard) : null,
                lots: ($lots = self::lots($house, $cupboard, $measures, (float) $drops)),
                stock: self::stock($lots),
                currency: self::text($house, 'currency', ''),
            );

            return $kitchen->with(...self::infused($house, $kitchen));
        } catch (RefusedException $refused) {
            throw WishException::from($refused->field === '' ? $refused->about('house') : $refused->under('house'));
        }
    }

    /**
     * @param  array<mixed>  $house
     * @return list<InfusedOil>
     *
     * @throws RefusedException
     */
    private static function infused(array $house, Kitchen $kitchen): array
    {
        $infused = [];
        foreach (is_array($house['infused'] ?? null) ? array_values($house['infused']) : [] as $i => $fields) {
            try {
                $infused[] = InfusedOil::read(is_array($fields) ? $fields : [], $kitchen);
            } catch (RefusedException $refused) {
                throw WishException::from($refused->under("house.infused.{$i}"));
            }
        }

        return $infused;
    }

    /** Each is held to those before it: two of one name are one too many. */
    private static function own(mixed $documents, Tables $tables, MeasureSystem $custom): Own
    {
        $own = Own::none();
        $reader = new OwnReader(
            new Cupboard($tables, function () use (&$own): Own {
                return $own;
            }),
            custom: $custom,
        );
        $things = [];
        foreach (is_array($documents) ? array_values($documents) : [] as $i => $document) {
            try {
                $thing = $reader->read(is_array($document) ? $document : []);
            } catch (OwnException $refused) {
                throw WishException::faults(
                    array_map(fn (array $fault) => ['field' => "house.own.{$i}.".$fault['field']] + $fault, $refused->faults),
                );
            }
            if (isset($things[$thing->id])) {
                throw WishException::one("house.own.{$i}.id", 'twice', "“{$thing->id}” is there twice.");
            }
            $things[$thing->id] = $thing;
            $own = Own::of($things);
        }

        return $own;
    }

    private static function custom(mixed $measures): MeasureSystem
    {
        return (is_string($measures) ? MeasureSystem::tryFrom($measures) : null) ?? MeasureSystem::Us;
    }

    /**
     * @param  list<mixed>  $things
     * @return list<string>
     */
    private static function things(array $things, Cupboard $cupboard): array
    {
        $known = [];
        foreach ($things as $i => $thing) {
            $known[] =
                is_string($thing) && in_array($thing, $cupboard->things(), true)
                    ? $thing
                    : throw DiaryException::thing(is_string($thing) ? $thing : '')->about("things.{$i}");
        }

        return $known;
    }

    /** @return list<Jar> */
    public static function shippedJars(Tables $tables): array
    {
        $jars = [];
        foreach ($tables->table('vessels')->rows('jars') as $row) {
            $jars[] = Jar::measured($row->text('id'), $row->text('called'), $row->number('brim_ml'), $row->number('inner_height_mm'));
        }

        return $jars;
    }

    /** @param  array<mixed>  $house */
    private static function room(array $house): float
    {
        $room = $house['room_c'] ?? Kitchen::ROOM_C;

        return (is_int($room) || is_float($room)) && $room >= 0 && $room <= 40
            ? (float) $room
            : throw WishException::one('house.room_c', 'out_of_range', 'A room is between 0 and 40 °C.');
    }

    /**
     * Each lot as docs/formats/wish.schema.json has it, with an id of its own or its place in the list.
     *
     * @param  array<mixed>  $house
     * @return list<Lot>
     */
    private static function lots(array $house, Cupboard $cupboard, mixed $measures, float $drops): array
    {
        $lots = [];
        $custom = self::custom($measures);
        // The lots' days are not held to the present here: a kitchen may be reckoned in at any time.
        $reader = new LotReader(
            $cupboard,
            new AmountReader($custom, $drops, $cupboard->measureNamed(...)),
            new \DateTimeImmutable('2199-12-31'),
        );
        foreach (is_array($house['lots'] ?? null) ? array_values($house['lots']) : [] as $i => $fields) {
            try {
                $fields = is_array($fields) ? $fields : [];
                $id = $fields['id'] ?? 'lot-'.($i + 1);
                unset($fields['id']);
                $lots[] = $reader->read($fields, is_string($id) ? $id : 'lot-'.($i + 1))['lot'];
            } catch (LotsException $refused) {
                throw WishException::one(
                    "house.lots.{$i}.".$refused->faults[0]['field'],
                    $refused->faults[0]['reason'],
                    $refused->faults[0]['sentence'],
                );
            }
        }

        return $lots;
    }

    /**
     * @param  list<Lot>  $lots
     * @return array<string, array{ml: float, price: ?float}>
     */
    public static function stock(array $lots): array
    {
        $stock = [];
        foreach ($lots as $lot) {
            if ($lot->kind === LotKind::Carrier && $lot->stock->left > 0) {
                $price = $lot->stock->unitPrice();
                $stock[$lot->material] = [
                    'ml' => ($stock[$lot->material]['ml'] ?? 0.0) + $lot->stock->left,
                    'price' => $price === null ? $stock[$lot->material]['price'] ?? null : $price * 100,
                ];
            }
        }

        return $stock;
    }

    /** @param  array<mixed>  $house */
    private static function now(array $house, \DateTimeImmutable $now): \DateTimeImmutable
    {
        try {
            $zone = new \DateTimeZone(self::text($house, 'time_zone', 'UTC'));
        } catch (\Exception|\ValueError) {
            throw WishException::one('house.time_zone', 'unknown', 'That time zone is not known. Write it like Europe/London or UTC.');
        }
        $given = self::text($house, 'now', '');
        if ($given === '') {
            return $now->setTimezone($zone);
        }
        try {
            // "tomorrow" would ask a clock of the machine's; a moment is written out.
            if (preg_match('/^\d{4}-\d\d-\d\d([T ][\d:.]+([+-]\d\d:?\d\d|Z)?)?$/D', $given) !== 1) {
                throw DiaryException::day($given);
            }

            return (new \DateTimeImmutable($given, $zone))->setTimezone($zone);
        } catch (\Exception|\ValueError) {
            throw WishException::from(DiaryException::day($given)->about('house.now'));
        }
    }

    /** @param  array<mixed>  $from */
    private static function text(array $from, string $key, string $default): string
    {
        $value = $from[$key] ?? $default;

        return is_string($value) ? $value : $default;
    }
}
