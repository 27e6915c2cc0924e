<?php

declare(strict_types=1);

namespace Kettle\Melt;

use Kettle\Material\Row;

/** Something that is made of an oil: a row of data/products.json. Shares are by weight. */
final readonly class Product
{
    public const WATER = 'water';

    public const KITCHEN = 'kitchen';

    public const RINSED = 'rinse-off';

    /** Poured into bottles, which Stores counts as bottles. */
    public const IN_BOTTLES = 'in-bottles';

    /** Fresh plant may be stirred into it while it is melted. */
    public const TAKES_LEAF = 'takes-leaf';

    /**
     * @param  ?float  $firmness what it is made to where nothing else is said; null where wax does not decide it
     * @param  array{wax: array{float, float}, butter: array{float, float}, oil: array{float, float}}  $shares least and most
     * @param  string  $where on the body, as the ceilings of data/melt.json have it
     * @param  list<float>  $vesselMl sizes it is usually put in
     * @param  list<string>  $traits
     * @param  string  $method melted, whipped, blended, stirred or emulsion
     * @param  ?string  $wax id of the wax it is usually made with
     * @param  list<array{id: string, share: float}>  $butters usual ones
     * @param  list<array{id: string, share: float}>  $others usual ones
     * @param  string  $rest oil or water: what there is as much of as is left
     * @param  ?float  $monthsMost it keeps, whatever its parts do
     * @param  ?array{float, float, float}  $whipped how many times its own volume it fills: least, usual, most
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $many,
        public ?float $firmness,
        public array $shares,
        public string $where,
        public string $vessel,
        public array $vesselMl,
        public float $usualMl,
        public int $usualCount,
        public float $fill,
        private array $traits,
        public string $method,
        public ?string $wax,
        public array $butters,
        public array $others,
        public string $rest,
        public string $carrier,
        public ?float $monthsMost,
        public ?array $whipped,
        public string $note,
    ) {}

    public static function fromRow(Row $row): self
    {
        $shares = $row->row('shares');
        $usual = fn (string $of): array => array_map(
            fn (Row $each) => ['id' => $each->text('id'), 'share' => $each->number('share')],
            array_values($row->rows($of)),
        );
        $whipped = $row->rowOrNull('whipped') === null ? null : array_values($row->numbers('whipped'));

        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->text('many'),
            $row->numberOrNull('firmness'),
            ['wax' => self::pair($shares, 'wax'), 'butter' => self::pair($shares, 'butter'), 'oil' => self::pair($shares, 'oil')],
            $row->text('where'),
            $row->text('vessel'),
            array_values($row->numbers('vessel_ml')),
            $row->number('usual_ml'),
            (int) $row->number('usual_count'),
            $row->number('fill_percent') / 100,
            $row->texts('traits'),
            $row->text('method'),
            $row->textOrNull('wax'),
            $usual('butters'),
            $usual('others'),
            $row->text('rest'),
            $row->text('carrier'),
            $row->numberOrNull('months_most'),
            $whipped === null ? null : [$whipped[0], $whipped[1], $whipped[2]],
            $row->text('note'),
        );
    }

    /** @return array{float, float} least and most */
    private static function pair(Row $row, string $of): array
    {
        $numbers = array_values($row->numbers($of));

        return [$numbers[0], $numbers[1]];
    }

    public function has(string $trait): bool
    {
        return in_array($trait, $this->traits, true);
    }

    /** @return list<string> */
    public function traits(): array
    {
        return $this->traits;
    }
}
