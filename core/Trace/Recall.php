<?php

declare(strict_types=1);

namespace Kettle\Trace;

/** Everything a thing that turned went into, wherever it stands, and what is to be done with each. */
final readonly class Recall
{
    public const THROW_AWAY = 'throw-away';

    public const TELL = 'tell';

    public const NOTHING = 'nothing';

    public const DOES = [self::THROW_AWAY, self::TELL, self::NOTHING];

    /**
     * @param  list<array{id: string, kind: string, do: value-of<self::DOES>, who: string}>  $each nearest first; whom to tell, where
     *     somebody has it
     * @param  list<array{person: string, holds: list<string>}>  $people by name, however it was written; what was given to somebody
     *     whose name was not written comes last, under an empty one
     */
    private function __construct(public array $each, public array $people) {}

    /**
     * @param  array<string, string>  $state of bottles and tins: in, used, given, sold or thrown; what has none is here
     * @param  array<string, string>  $holds name of who has it, by bottle or tin
     *
     * @throws TraceException
     */
    public static function of(Graph $graph, string $turned, array $state, array $holds): self
    {
        $each = $people = $names = [];
        foreach ([$turned, ...$graph->forward($turned)] as $id) {
            $kind = $graph->kind($id);
            if ($kind === 'person') {
                continue;
            }
            $who = $holds[$id] ?? '';
            $do = match (true) {
                in_array($state[$id] ?? 'in', ['given', 'sold'], true) => self::TELL,
                in_array($state[$id] ?? 'in', ['used', 'thrown'], true) => self::NOTHING,
                default => self::THROW_AWAY,
            };
            $each[] = ['id' => $id, 'kind' => $kind, 'do' => $do, 'who' => $do === self::TELL ? $who : ''];
            if ($do === self::TELL) {
                $person = Person::key($who);
                $names[$person] ??= Person::written($who);
                $people[$person][] = $id;
            }
        }
        uksort($people, fn (string|int $a, string|int $b) => [$a === '', (string) $a] <=> [$b === '', (string) $b]);

        return new self(
            $each,
            array_map(
                fn (string $person, array $things) => ['person' => $names[$person], 'holds' => $things],
                array_map(strval(...), array_keys($people)),
                $people,
            ),
        );
    }
}
