<?php

declare(strict_types=1);

namespace Kettle\Caution;

use Kettle\Material\Tables;
use Kettle\Reason\Note;
use Kettle\Reason\Said;

/** Which cautions hold, in the order of their weight. */
final class Cautions
{
    /** @var list<Caution>|null */
    private ?array $rules = null;

    /** @var array<string, string>|null */
    private ?array $sources = null;

    private function __construct(private readonly Tables $tables) {}

    public static function of(Tables $tables): self
    {
        return $tables->made(self::class, fn () => new self($tables));
    }

    /** @return list<Caution> as the table has them */
    public function all(): array
    {
        return $this->rules ??= array_map(Caution::fromRow(...), array_values($this->tables->table('cautions')->rows('rows')));
    }

    /**
     * @param  ?string  $place one of Caution::PLACES; null for all of them
     * @return list<Caution> stop before care before note
     */
    public function holding(Facts $facts, ?string $place = null): array
    {
        $holding = array_filter(
            $this->all(),
            fn (Caution $rule) => ($place === null || in_array($place, $rule->places, true)) && $rule->holds($facts),
        );
        $order = array_flip(Caution::RANKS);
        usort($holding, fn (Caution $a, Caution $b) => $order[$a->rank] <=> $order[$b->rank]);

        return $holding;
    }

    /** The first that forbids even planning it. */
    public function stopping(Facts $facts): ?Caution
    {
        foreach ($this->all() as $rule) {
            if ($rule->stopsAt === 'plan' && $rule->holds($facts)) {
                return $rule;
            }
        }

        return null;
    }

    public function told(Caution $rule, Facts $facts): Note
    {
        return new Note(
            $rule->id,
            $rule->rank,
            $rule->says($facts),
            $rule->about,
            why: Said::of("caution:{$rule->id}.why"),
            source: Said::of('source:'.$rule->source),
            acknowledge: $rule->acknowledge,
        );
    }

    /** The title of a source, with how sure it is, as the Almanac gives it. */
    public function source(string $id): string
    {
        if ($this->sources === null) {
            $this->sources = [];
            foreach ($this->tables->table('sources')->rows('rows') as $row) {
                $this->sources[$row->text('id')] =
                    $row->text('title').
                    (str_contains($row->text('standing'), 'from memory') && ! str_contains(mb_strtolower($row->text('title')), 'memory')
                        ? ' (from memory)'
                        : '');
            }
        }

        return $this->sources[$id] ?? $id;
    }
}
