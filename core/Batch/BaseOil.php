<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Time\Day;

/** The infused oil a second charge was made in, as its plan keeps it: what it has had, and how old it was. */
final readonly class BaseOil
{
    /**
     * @param  string  $batch id of the batch it came from
     * @param  ?\DateTimeImmutable  $opened when its oldest oil was opened, at the latest
     * @param  list<PlannedHerb>  $herbs
     * @param  list<array{hours: float, celsius: float}>  $heat
     */
    private function __construct(
        public string $batch,
        public ?\DateTimeImmutable $opened,
        public ?\DateTimeImmutable $bestBefore,
        public array $herbs,
        public array $heat,
    ) {}

    public static function of(Stored $kept): ?self
    {
        $day = fn (string $key) => Day::read($kept->text($key), new \DateTimeZone('UTC'));

        return $kept->text('batch') === ''
            ? null
            : new self(
                $kept->text('batch'),
                $day('opened'),
                $day('best_before'),
                array_map(PlannedHerb::of(...), $kept->parts('herbs')),
                array_map(
                    fn (Stored $had) => ['hours' => $had->number('hours'), 'celsius' => $had->number('celsius')],
                    $kept->parts('heat'),
                ),
            );
    }

    /**
     * The days of its oils: what is made in it is no younger, and keeps no longer.
     *
     * @param  list<PlannedOil>  $oils
     * @param  array<string, array{opened: ?\DateTimeImmutable, best_before: ?\DateTimeImmutable}>  $lots of Stores, by carrier id
     * @return array<string, array{opened: ?\DateTimeImmutable, best_before: ?\DateTimeImmutable}>
     */
    public function lots(array $oils, array $lots): array
    {
        foreach ($oils as $oil) {
            $lots[$oil->id] = [
                'opened' => Day::earliest($this->opened, $lots[$oil->id]['opened'] ?? null),
                'best_before' => Day::earliest($this->bestBefore, $lots[$oil->id]['best_before'] ?? null),
            ];
        }

        return $lots;
    }
}
