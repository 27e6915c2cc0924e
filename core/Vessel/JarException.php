<?php

declare(strict_types=1);

namespace Kettle\Vessel;

use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;

/** A jar that cannot be, or cannot hold what is asked of it. */
final class JarException extends RefusedException
{
    public static function brim(float $ml): self
    {
        return new self(
            'out_of_range',
            sprintf(
                'A jar of %s mL to the brim is not a kitchen jar. Give between 20 mL and 20 L.',
                rtrim(rtrim(number_format($ml, 1, '.', ''), '0'), '.'),
            ),
        );
    }

    public static function height(float $mm): self
    {
        return new self(
            'out_of_range',
            sprintf(
                'A jar %s mm high inside is not a kitchen jar. Give between 20 and 600 mm.',
                rtrim(rtrim(number_format($mm, 1, '.', ''), '0'), '.'),
            ),
        );
    }

    public static function marksUnread(string $piece): self
    {
        return new self(
            'unreadable',
            sprintf('“%s” is no mark. Write it like 100 mL at 32 mm, with commas between.', mb_substr($piece, 0, 40)),
            'marks',
        );
    }

    public static function marksMany(int $most): self
    {
        return new self('too_much', sprintf('At most %d marks: where the jar narrows or widens is enough.', $most), 'marks');
    }

    public static function marksCross(string $ml, string $mm): self
    {
        return new self(
            'disagree',
            sprintf('%s at %s does not go with the mark below it, or with the brim: higher is more, and no jar narrows so much.', $ml, $mm),
            'marks',
        );
    }

    public static function unknown(): self
    {
        return new self('unknown', 'That jar is not on the house’s list; it may have been taken off. Choose another jar.');
    }

    /** @param  string  $wanted of Jar::KINDS */
    public static function notFor(Jar $jar, string $method, string $wanted): self
    {
        return new self(
            'unfit',
            match ($wanted) {
                Jar::PAN => sprintf(
                    'The %s is done in the pan itself, and the %s is no pan: over a flame it would crack.',
                    $method,
                    $jar->called,
                ),
                Jar::BOWL => sprintf('The %s wants a bowl that stands in steaming water; the %s is none.', $method, $jar->called),
                default => sprintf('The %s wants a jar that can be closed or covered; the %s is none.', $method, $jar->called),
            },
        );
    }

    public static function standsOutAtBrim(string $jar, float $bedMm): self
    {
        return new self(
            'unfit',
            sprintf(
                'So much herb settles to %d mm, and the %s has no room for oil over that: it would stand out, and mould.',
                (int) round($bedMm),
                $jar,
            ),
        );
    }

    public static function oilRunsOver(string $jar, string $filled, float $ml, float $mostMl): self
    {
        return new self(
            'does_not_fit',
            sprintf(
                'The %s, %s of herb, takes %s of oil below its headspace, and %s is to go in.',
                $jar,
                $filled,
                AmountWriter::plain(max(0.0, $mostMl), Kind::Volume),
                AmountWriter::plain($ml, Kind::Volume),
            ),
        );
    }

    public static function oilDoesNotCover(string $jar, string $filled, float $levelMm, float $bedMm): self
    {
        return new self(
            'unfit',
            sprintf(
                'In the %s, %s, the herb settles to %d mm and so much oil reaches %d mm: herb that stands out of the oil moulds.',
                $jar,
                $filled,
                (int) round($bedMm),
                (int) round($levelMm),
            ),
        );
    }

    public static function notToTheBrim(string $method): self
    {
        return new self(
            'unfit',
            sprintf(
                'A jar is filled to the brim where it stands shut and cool: by the %s, oil that swells runs over onto the heat.',
                $method,
            ),
        );
    }

    public static function noneListed(): self
    {
        return new self('missing', 'The house has no jar on its list. Add one under House, with its brim measure and its height.');
    }

    public static function overflows(Jar $jar, float $needMl, float $mostHerbG): self
    {
        return new self(
            'does_not_fit',
            sprintf(
                'Herb and oil together come to %s, and the %s holds %s to the brim. At this ratio it takes %s of herb at the most.',
                AmountWriter::plain($needMl, Kind::Volume),
                $jar->called,
                AmountWriter::plain($jar->brimMl, Kind::Volume),
                AmountWriter::plain($mostHerbG, Kind::Mass),
            ),
        );
    }

    public static function noneHolds(float $needMl, Jar $largest): self
    {
        return new self(
            'does_not_fit',
            sprintf(
                'Herb and oil together come to %s, and the largest jar of the house, the %s, holds %s to the '.
                    'brim. Plan a smaller batch, or add a larger jar under House.',
                AmountWriter::plain($needMl, Kind::Volume),
                $largest->called,
                AmountWriter::plain($largest->brimMl, Kind::Volume),
            ),
        );
    }

    public static function herbStandsOut(string $ratio, float $levelMm, float $bedMm, ?string $wouldCover): self
    {
        return new self(
            'herb_stands_out',
            sprintf(
                'At %s the oil stands at %s and the herb bed at %s: the herb would stick out and mould. %s',
                $ratio,
                AmountWriter::plain($levelMm, Kind::Length),
                AmountWriter::plain($bedMm, Kind::Length),
                $wouldCover === null ? 'No ratio up to 1:60 would cover it so; take another jar.' : $wouldCover.' would cover it.',
            ),
        );
    }

    public static function noRoomToCover(string $jar, string $fill, float $bedMm, float $coverMm, float $roomMm): self
    {
        return new self(
            'herb_stands_out',
            sprintf(
                'With the %s %s the settled herb stands at %s; %s of oil over it would reach %s, and there is '.
                    'room to %s below the headspace.',
                $jar,
                $fill,
                AmountWriter::plain($bedMm, Kind::Length),
                AmountWriter::plain($coverMm, Kind::Length),
                AmountWriter::plain($bedMm + $coverMm, Kind::Length),
                AmountWriter::plain($roomMm, Kind::Length),
            ),
        );
    }
}
