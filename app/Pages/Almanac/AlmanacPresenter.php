<?php

namespace App\Pages\Almanac;

use App\House\KitchenFactory;
use App\Models\AlmanacNote;
use App\Responses\Almanac\AlmanacEntry;
use App\Responses\Almanac\AlmanacFact;
use App\Responses\Almanac\AlmanacLink;
use App\Responses\Almanac\AlmanacPage;
use App\Responses\Almanac\OwnTells;
use App\Responses\Batch\CautionView;
use Kettle\Material\Names;
use Kettle\Material\Own;
use Kettle\Material\OwnKind;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What is known of plants, oils, methods, cautions and faults, with where it comes from and what the house made of it. */
final readonly class AlmanacPresenter
{
    public const KINDS = ['plant', 'oil', 'method', ...MeltEntries::KINDS, 'caution', 'fault', ...OwnEntries::KINDS];

    public function __construct(
        private KitchenFactory $kitchens,
        private MaterialEntries $materials,
        private MeltEntries $melt,
        private RuleEntries $rules,
        private OwnPage $own,
        private OwnEntries $only,
    ) {}

    /**
     * @param  bool  $byName only by its names, as the find box does; else by what is said of it too
     * @return list<AlmanacEntry> those that hold what was typed
     */
    public function list(string $kind, string $typed = '', bool $byName = false): array
    {
        $entries = $this->entries($kind)->list($kind);
        usort($entries, fn (AlmanacEntry $a, AlmanacEntry $b) => strcoll($a->name, $b->name));

        if ($typed === '') {
            return $entries;
        }
        // A plant goes by its botanical name too, and a fault by what is seen.
        $whole = ! $byName || in_array($kind, ['plant', 'fault'], true);
        $has = Names::having($typed);

        return array_values(
            array_filter($entries, fn (AlmanacEntry $entry) => $has($whole ? $entry->name.' '.$entry->says : $entry->name)),
        );
    }

    public function page(string $kind, string $key): AlmanacPage
    {
        $note = AlmanacNote::query()->where('kind', $kind)->where('key', $key)->first();
        $parts = $this->entries($kind)->page($kind, $key);

        $kitchen = $this->kitchens->plain();
        // A caution may begin with the same letters.
        $entered = OwnKind::tryFrom($kind) !== null && Own::is($key);
        if ($entered) {
            $parts = $this->entered($key, $parts);
        }

        return new AlmanacPage(
            kind: $kind,
            key: $key,
            name: $parts['name'],
            says: $kitchen->inDegrees($parts['says']),
            facts: array_map(
                fn (AlmanacFact $fact) => new AlmanacFact($fact->name, $kitchen->inDegrees($fact->text), $fact->source),
                $parts['facts'],
            ),
            lines: array_map($kitchen->inDegrees(...), $parts['lines'] ?? []),
            cautions: $parts['cautions'] ?? [],
            own: $parts['own'] ?? [],
            note: $note->note ?? '',
            note_by: $note->by ?? '',
            note_version: $note->version ?? 0,
            entered: $entered,
        );
    }

    /** Where a kind of thing is told of. */
    private function entries(string $kind): MaterialEntries|MeltEntries|RuleEntries|OwnEntries
    {
        return match (true) {
            in_array($kind, MaterialEntries::KINDS, true) => $this->materials,
            in_array($kind, MeltEntries::KINDS, true) => $this->melt,
            in_array($kind, RuleEntries::KINDS, true) => $this->rules,
            in_array($kind, OwnEntries::KINDS, true) => $this->only,
            default => throw new NotFoundHttpException(),
        };
    }

    /**
     * Of what the house entered: from whom it is known, what nobody has said, and what is told of it for that.
     *
     * @param  array{name: string, says: string, facts: list<AlmanacFact>, lines?: list<string>, cautions?: list<CautionView>,
     *     own?: list<AlmanacLink>}  $parts
     * @return array{name: string, says: string, facts: list<AlmanacFact>, lines?: list<string>, cautions: list<CautionView>,
     *     own?: list<AlmanacLink>}
     */
    private function entered(string $key, array $parts): array
    {
        $own = $this->own->ofSlug($key);

        return [
            'facts' => [
                ...array_values(
                    array_map(
                        fn (AlmanacFact $fact) => new AlmanacFact($fact->name, $fact->text, 'entered by this house'),
                        array_filter($parts['facts'], fn (AlmanacFact $fact) => trim($fact->text) !== ''),
                    ),
                ),
                ...$own->unknown === []
                    ? []
                    : [new AlmanacFact('Nobody has said', implode(', ', $own->unknown), 'unknown is taken for the worst')],
            ],
            'cautions' => array_map(function (OwnTells $each): CautionView {
                return new CautionView($each->id, $each->rank, [], $each->says, $each->why, 'what was entered', false, null);
            }, $own->cautions),
        ] + $parts;
    }
}
