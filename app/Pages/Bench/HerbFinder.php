<?php

namespace App\Pages\Bench;

use App\Models\Batch;
use App\Models\HeldThing;
use App\Models\Lot;
use App\Responses\Bench\FoundHerb;
use App\Responses\Bench\FoundHerbs;
use Kettle\Material\Cupboard;
use Kettle\Material\Herb;
use Kettle\Material\Names;
use Kettle\Stores\LotKind;

/** Finds a herb by any of its names: what Stores has first, then what was used lately, then the others. */
final readonly class HerbFinder
{
    /** Batches that count as lately. */
    private const LATELY = 12;

    private const LOTS = 300;

    private const OTHERS = 40;

    public function __construct(private Cupboard $cupboard) {}

    public function find(string $typed): FoundHerbs
    {
        [$here, $unlisted] = $this->inStores();
        $lately = $this->lately();
        $asked = mb_strtolower(trim($typed));
        $found = [];
        $has = Names::having($asked);
        $by = array_map(fn (Herb $herb) => $asked === '' ? '' : self::by($herb, $has), $this->cupboard->offeredHerbs());
        if (array_filter($by, is_string(...)) === []) {
            // With a letter or two wrong: what may be meant is shown, and said to be no more than that.
            $near = Names::nearest($asked, array_map(fn (Herb $herb) => [$herb->name, ...$herb->also], $this->cupboard->offeredHerbs()));
            $by = array_map(fn () => sprintf('Nothing goes by “%s”; this is near it', mb_substr(trim($typed), 0, 40)), $near);
        }
        foreach ($this->cupboard->offeredHerbs() as $herb) {
            $by[$herb->id] ??= null;
            if ($by[$herb->id] === null) {
                continue;
            }
            $place = isset($here[$herb->id]) ? 0 : (isset($lately[$herb->id]) ? 1 : 2);
            $found[] = [
                [$place, $place === 1 ? $lately[$herb->id] : 0, mb_strtolower($herb->name)],
                new FoundHerb(
                    $herb->id,
                    $herb->name,
                    $herb->part,
                    $herb->form,
                    implode('. ', array_filter([$by[$herb->id], rtrim($herb->note, '.')])),
                    $place === 0,
                ),
            ];
        }
        foreach ($unlisted as $name => $form) {
            if ($asked === '' || $has((string) $name)) {
                $found[] = [[0, 0, mb_strtolower($name)], new FoundHerb('', $name, '', $form, 'not in the Almanac', true)];
            }
        }
        usort($found, fn (array $a, array $b) => $a[0] <=> $b[0]);

        return new FoundHerbs(array_slice(array_column($found, 1), 0, $asked === '' ? null : self::OTHERS));
    }

    /**
     * Empty where it goes by its name, else the other name it was found by; null where it is not found.
     *
     * @param  \Closure(string): bool  $has
     */
    private static function by(Herb $herb, \Closure $has): ?string
    {
        if ($has($herb->name)) {
            return '';
        }
        foreach ([...$herb->also, $herb->latin] as $name) {
            if ($has($name)) {
                return 'also '.$name;
            }
        }

        return null;
    }

    /** @return array{array<string, true>, array<string, string>} ids of herbs, and forms of those only Stores knows, by name */
    private function inStores(): array
    {
        $held = HeldThing::query()
            ->where('kind', LotKind::Herb)
            ->where('many', '>', 0)
            ->limit(self::LOTS)
            ->toBase()
            ->pluck('material', 'thing');
        $here = array_fill_keys(array_filter($held->all(), fn (mixed $material) => is_string($material) && $material !== ''), true);
        $unlisted = [];
        $own = $held->filter(fn (mixed $material) => $material === '')->keys();
        if ($own->isNotEmpty()) {
            $rows = Lot::query()->where('holds', true)->whereIn('thing', $own)->toBase()->select('called', 'form')->distinct()->get();
            /** @var object{called: string, form: ?string} $row */
            foreach ($rows as $row) {
                $unlisted[$row->called] = $row->form ?? 'thin-leaf';
            }
        }

        return [$here, $unlisted];
    }

    /** @return array<string, int> how lately each was used, the last 0 */
    private function lately(): array
    {
        $lately = [];
        foreach (Batch::query()->orderByDesc('id')->limit(self::LATELY)->toBase()->pluck('herbs') as $i => $herbs) {
            $named = is_string($herbs) ? json_decode($herbs, true) : null;
            foreach (is_array($named) && is_array($named['all'] ?? null) ? $named['all'] : [] as $each) {
                if (is_array($each) && is_string($each['herb'] ?? null)) {
                    $lately[$each['herb']] ??= (int) $i;
                }
            }
        }

        return $lately;
    }
}
