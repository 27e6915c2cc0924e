<?php

declare(strict_types=1);

namespace Kettle\Boiling;

use Kettle\Decoction\Doneness;
use Kettle\Material\Tables;

/** The four signs of a pot as they were seen last; a look goes by, for it boils on. */
final readonly class Signs
{
    /** @param  list<array{id: string, is: ?string, at: ?\DateTimeImmutable, stale: bool}>  $each in order */
    private function __construct(public Doneness $done, public array $each) {}

    /** @return ?self null where it is not done by signs */
    public static function of(BoilState $state, \DateTimeImmutable $now, Tables $tables): ?self
    {
        if (! $state->plan->signs) {
            return null;
        }
        $freshH = $tables->table('decoction')->row('at_the_pot')->number('fresh_h');
        $hours = $state->flameHAt($now);
        $fresh = $each = [];
        foreach (array_keys(Doneness::SEEN) as $sign) {
            $look = $state->seen[$sign] ?? null;
            $stale = $look !== null && $hours - $look['h'] > $freshH;
            if ($look !== null && ! $stale) {
                $fresh[$sign] = $look['is'];
            }
            $each[] = ['id' => $sign, 'is' => $look['is'] ?? null, 'at' => $look['at'] ?? null, 'stale' => $stale];
        }

        return new self(Doneness::of($fresh, $state->plan->fat), $each);
    }
}
