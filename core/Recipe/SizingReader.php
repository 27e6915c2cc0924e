<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Infusion\YieldException;
use Kettle\Material\Blend;
use Kettle\Material\Lying;
use Kettle\Measure\Amount;
use Kettle\Measure\Kind;
use Kettle\Reason\Faults;
use Kettle\Reason\RefusedException;
use Kettle\Vessel\Jar;
use Kettle\Vessel\JarException;
use Kettle\Vessel\Marks;

/** Reads how much a wish is of: the oil, what is to come out, how full a jar, in which jars. */
final readonly class SizingReader
{
    /** Kitchen bounds, mL: more than this is a works, less cannot be measured. */
    private const OIL_BOUNDS = [1.0, 20_000.0];

    public function __construct(private Kitchen $kitchen) {}

    /**
     * @param  array<mixed>  $wish
     * @param  ?Amount  $total mL, where the oils have amounts of their own
     */
    public function oilAmount(array $wish, Blend $blend, ?Amount $total): ?Amount
    {
        $typed = Fields::text($wish, 'oil_amount');
        if ($typed !== null && $total !== null) {
            throw new YieldException(
                'disagree',
                'The oils have amounts of their own, which come to all the oil there is. Leave those out, or leave the oil amount out.',
            );
        }
        if ($total !== null) {
            return $total;
        }

        return $typed === null
            ? null
            : $this->kitchen->reader()->within($typed, Kind::Volume, 'mL', ...[...self::OIL_BOUNDS, $blend->density(Planner::ROOM_C)]);
    }

    public function finished(mixed $finished): ?Finished
    {
        if (! is_array($finished)) {
            return $finished === null || $finished === ''
                ? null
                : throw new YieldException('unreadable', 'Say how much is to come out, such as 300 mL, or how many bottles of which size.');
        }
        $surely = (Fields::text($finished, 'sure') ?? 'nine-in-ten') !== 'evens';
        $reader = $this->kitchen->reader();
        $count = Fields::text($finished, 'count');
        if ($count !== null) {
            if (preg_match('/^\d{1,3}$/', $count) !== 1 || (int) $count < 1 || (int) $count > 500) {
                throw new YieldException('out_of_range', 'Say how many bottles or tins: a whole number from 1 to 500.', 'finished.count');
            }
            $typed =
                Fields::text($finished, 'size') ??
                throw new YieldException('missing', 'Say how much each bottle or tin holds, such as 50 mL.', 'finished.size');
            try {
                $size = $reader->within($typed, Kind::Volume, 'mL', 1, 5_000);
            } catch (RefusedException $refused) {
                throw $refused->about('finished.size');
            }

            return new Finished(
                (int) $count * $size->value,
                sprintf(
                    '%s %s of %s',
                    Numbers::word((int) $count),
                    (int) $count === 1 ? 'bottle' : 'bottles',
                    Numbers::withUnit($size->typed, 'mL'),
                ),
                $surely,
                (int) $count,
            );
        }
        $typed = Fields::text($finished, 'amount');
        if ($typed === null) {
            return null;
        }

        return new Finished(
            $reader->within($typed, Kind::Volume, 'mL', ...self::OIL_BOUNDS)->value,
            Numbers::withUnit($typed, 'mL'),
            $surely,
        );
    }

    /** @param  bool  $oilSaid whether the wish says how much oil there is, so that no cover is wanted */
    public function byJar(mixed $byJar, bool $oilSaid): ?ByJar
    {
        if (! is_array($byJar)) {
            return $byJar === null || $byJar === ''
                ? null
                : throw new JarException(
                    'unreadable',
                    'Say how full the jar is: a quarter, a third, half, two thirds, three quarters or full.',
                );
        }
        $fill = Fields::text($byJar, 'fill');
        if ($fill === null) {
            return null;
        }
        if (! isset(ByJar::FILLS[$fill])) {
            throw new JarException('unknown', 'A jar is a quarter, a third, half, two thirds, three quarters or full.', 'by_jar.fill');
        }
        $how = Fields::text($byJar, 'lying');
        $lying =
            Lying::tryFrom($how ?? Lying::Loose->value) ??
            throw new JarException('unknown', 'Herb lies in a jar loose, packed or stuffed.', 'by_jar.lying');
        $cover = Fields::text($byJar, 'cover');
        $brim = $cover !== null && mb_strtolower($cover) === ByJar::BRIM;
        if ($cover !== null && $oilSaid) {
            throw new YieldException(
                'disagree',
                'How much oil there is says how far it stands over the herb. Leave the cover out, or leave the oil out.',
                'by_jar.cover',
            );
        }
        $coverMm = match (true) {
            $brim || $oilSaid => null,
            $cover === null => Amounts::COVER_MM,
            default => $this->kitchen->reader()->within($cover, Kind::Length, 'mm', 3, 200)->value,
        };

        return new ByJar($fill, $lying, $coverMm, $brim);
    }

    public function jar(mixed $jar): ?Jar
    {
        if ($jar === null || $jar === '') {
            return null;
        }
        if (is_array($jar)) {
            $brim = Fields::text($jar, 'brim') ?? throw new JarException('missing', 'Give how much the jar holds to the brim.', 'jar.brim');
            $height =
                Fields::text($jar, 'inner_height') ??
                throw new JarException('missing', 'Give how high the jar is inside.', 'jar.inner_height');

            return Jar::measured(
                '',
                Fields::text($jar, 'called') ?? 'jar',
                $this->kitchen->measured()->read($brim, Kind::Volume, 'mL')->value,
                $this->kitchen->measured()->read($height, Kind::Length, 'mm')->value,
                marks: Marks::read(Fields::text($jar, 'marks') ?? '', $this->kitchen->measured()),
            );
        }

        return $this->kitchen->jar(is_string($jar) ? $jar : '') ?? throw JarException::unknown();
    }

    /** @param  array<mixed>  $wish */
    public function jars(array $wish): ?int
    {
        $typed = Fields::text($wish, 'jars');
        if ($typed === null) {
            return null;
        }
        if (preg_match('/^\d{1,2}$/', $typed) !== 1 || (int) $typed < 1 || (int) $typed > Sizing::MOST_JARS) {
            throw new JarException('out_of_range', sprintf('Say how many jars: a whole number from 1 to %d.', Sizing::MOST_JARS));
        }

        return (int) $typed;
    }

    /** How much can be said from one side only, but for herb and oil together, which give the ratio. */
    public function onlyOneWay(?Amount $herb, ?Amount $oil, ?Finished $finished, ?ByJar $byJar, Faults $faults): void
    {
        if ($byJar !== null && ($herb !== null || $finished !== null)) {
            $faults->add(
                new YieldException(
                    'disagree',
                    'By the jar, the jar says how much herb there is. Leave its weight and the finished amount out, or weigh instead.',
                    'by_jar',
                ),
            );
        } elseif ($finished !== null && ($herb !== null || $oil !== null)) {
            $faults->add(
                new YieldException(
                    'disagree',
                    'The finished amount says how much herb and oil go in. Leave those out, or leave the finished amount out.',
                    'finished',
                ),
            );
        }
    }
}
