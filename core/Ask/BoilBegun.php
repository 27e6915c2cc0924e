<?php

declare(strict_types=1);

namespace Kettle\Ask;

use Kettle\Boiling\FrozenBoil;
use Kettle\Caution\CautionException;
use Kettle\Decoction\DecoctionException;
use Kettle\Decoction\Glycerite;
use Kettle\Material\HerbMix;
use Kettle\Material\HerbPart;
use Kettle\Material\Tables;
use Kettle\Measure\Kind;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;
use Kettle\Recipe\Fields;
use Kettle\Recipe\Kitchen;
use Kettle\Stores\LotKind;

/**
 * What a pot is begun with: the same question as it was planned by, answered once more and kept.
 *
 * @phpstan-import-type Told from BoilFields
 */
final readonly class BoilBegun
{
    /** What an oil is cleansed and cooked in where nobody says: common practice, no source. */
    public const USUAL_OIL = 'sesame';

    /** The liquid of a long oil that has herbs of its own. */
    private const DECOCTION = 'decoction';

    private const GLYCERIN = 'glycerin';

    private BoilFields $fields;

    private BoilNeeds $needs;

    public function __construct(private DecoctionQuestions $questions, private Tables $tables, private Kitchen $kitchen)
    {
        $this->fields = new BoilFields($tables, $kitchen);
        $this->needs = new BoilNeeds($kitchen);
    }

    /**
     * @param  'decoction'|'long-oil'|'glycerin'  $what
     * @param  array<mixed>  $asked as the question takes it, and `carrier`, the id of a long oil's oil
     * @param  list<string>  $read ids of the cautions that somebody has read
     * @param  array{oil?: string, liquid?: string}  $from pots of the house that its oil and its liquid are poured from, by their ids
     * @return array<string, mixed> as FrozenBoil reads it
     *
     * @throws RefusedException where it is refused when it is planned, or is no food and is to be eaten
     */
    public function of(string $what, array $asked, array $read = [], array $from = []): array
    {
        return match ($what) {
            'decoction' => $this->decoction($asked, $read),
            'long-oil' => $this->longOil($asked, $read, $from),
            'glycerin' => $this->glycerin($asked, $read),
        };
    }

    /**
     * @param  array<mixed>  $asked
     * @param  list<string>  $read
     * @return array<string, mixed>
     */
    private function decoction(array $asked, array $read): array
    {
        $answer = $this->questions->decoction($asked);
        $this->heed($answer['notes'], 'herbs', $read);
        $mix = $this->fields->mix($asked);
        $made = $this->fields->decocted($asked, $this->fields->hardness($asked, $mix), $mix['total'] ?? null);
        $solids = $made->herbMl($this->tables);

        return $this->kept(
            [
                'kind' => 'decoction',
                'of' => self::herbs($mix['mix'] ?? null),
                'starts_ml' => round($made->goesInMl($this->tables), 3),
                'ends_ml' => round($made->endMl + $solids, 3),
                'solids_ml' => round($solids, 3),
                'oil_ml' => 0.0,
                'made' => round($made->endMl, 3),
                'by_weight' => false,
                'keeps_days' => $answer['keeps_days'],
                'purpose' => 'skin',
                'fat' => 'oil',
                'allergens' => [],
                'takes' => ['boils' => [], 'lots' => $this->needs->herbs($mix['mix'] ?? null, $made->herbG)],
            ],
            $asked,
            false,
            false,
        );
    }

    /**
     * Decoction, cleansing and cooking are a pot each: where all three are planned, the cleansing is begun.
     *
     * @param  array<mixed>  $asked
     * @param  list<string>  $read
     * @param  array{oil?: string, liquid?: string}  $from
     * @return array<string, mixed>
     */
    private function longOil(array $asked, array $read, array $from): array
    {
        $answer = $this->questions->longOil($asked);
        $this->heed($answer['notes'], 'purpose', $read);
        // The decoction of it is a pot of its own.
        $stage = array_values(array_filter($answer['stages'], fn (array $each) => $each['stage'] !== 'decoction'))[0];
        $oil = $this->fields->longOil($asked);
        $carrier = RefusedException::at(
            'carrier',
            fn () => $this->kitchen->cupboard()->carrier(Fields::text($asked, 'carrier') ?? self::USUAL_OIL),
        );
        $paste = $this->fields->mix(['herbs' => $asked['paste_herbs'] ?? []])['mix'] ?? null;
        $herbs = self::herbs($paste);
        // What was boiled into its water is in it as much as what was ground into it.
        if ($stage['liquid'] === self::DECOCTION && is_array($asked['decoct'] ?? null)) {
            $herbs = [...$herbs, ...self::herbs($this->fields->mix($asked['decoct'])['mix'] ?? null)];
        }

        return $this->kept(
            [
                'kind' => $stage['stage'],
                'of' => [$carrier->said(), ...array_values(array_unique($herbs, SORT_REGULAR))],
                'starts_ml' => round($oil->goesInMl(), 3),
                'ends_ml' => round($oil->endsMl(), 3),
                'solids_ml' => round($oil->pasteMl(), 3),
                'oil_ml' => round($oil->oilMl, 3),
                'made' => round($oil->oilMl, 3),
                'by_weight' => false,
                'keeps_days' => null,
                'purpose' => Fields::text($asked, 'purpose') ?? 'skin',
                // On butterfat froth goes when the water is gone, and on oil it stands.
                'fat' => in_array('milk', $carrier->food->allergens, true) ? 'butterfat' : 'oil',
                'allergens' => $this->fields->liquid($stage['liquid'])['allergens'],
                'takes' => [
                    'boils' => [
                        ...isset($from['oil']) ? [['boil' => $from['oil'], 'amount' => round($oil->oilMl, 3)]] : [],
                        ...isset($from['liquid']) ? [['boil' => $from['liquid'], 'amount' => round($oil->liquidMl, 3)]] : [],
                    ],
                    'lots' => [
                        ...isset($from['oil']) ? [] : $this->needs->material(LotKind::Carrier, $carrier->id, $oil->oilMl),
                        ...$this->needs->herbs($paste, $oil->pasteG),
                    ],
                ],
            ],
            $asked,
            true,
            $this->fields->liquid($stage['liquid'])['froths'],
        );
    }

    /**
     * @param  array<mixed>  $asked
     * @param  list<string>  $read
     * @return array<string, mixed>
     */
    private function glycerin(array $asked, array $read): array
    {
        // What does not keep itself has days, in the cold: it is begun all the same.
        $this->heed($this->questions->glycerin($asked)['notes'], 'herbs', $read, 'glycerin-not-kept');
        $share = $this->fields->number($asked, 'glycerin_share');
        $made = Glycerite::of(
            $this->fields->amount($asked, 'total', Kind::Mass) ?? throw DecoctionException::amount('total'),
            $share !== null && $share > 1 ? $share / 100 : $share,
            $this->fields->amount($asked, 'extract_now', Kind::Mass),
            $this->tables,
        );
        $mix = $this->fields->mix($asked);

        return $this->kept(
            [
                'kind' => 'glycerin',
                'of' => self::herbs($mix['mix'] ?? null),
                'starts_ml' => $made->nowG,
                'ends_ml' => round($made->extractG(), 3),
                'solids_ml' => 0.0,
                'oil_ml' => 0.0,
                'made' => round($made->totalG, 3),
                'by_weight' => true,
                'keeps_days' => $made->days(),
                'purpose' => 'skin',
                'fat' => 'oil',
                'allergens' => [],
                'takes' => ['boils' => [], 'lots' => $this->needs->material(LotKind::Addition, self::GLYCERIN, $made->glycerinG())],
            ],
            $asked,
            false,
            false,
        );
    }

    /**
     * @param  array{kind: string, of: list<mixed>, starts_ml: ?float, ends_ml: float, solids_ml: float, oil_ml: float, made: float,
     *     by_weight: bool, keeps_days: ?int, purpose: string, fat: string, allergens: list<string>,
     *     takes: array{boils: list<array{boil: string, amount: float}>, lots: list<array{lot: string, amount: float}>}}  $facts
     * @param  array<mixed>  $asked
     * @return array<string, mixed>
     */
    private function kept(array $facts, array $asked, bool $underOil, bool $froths): array
    {
        $pot = $facts['by_weight'] ? null : $this->fields->pot($asked);
        $row = $this->tables->table('decoction')->row('long_oil');

        return FrozenBoil::keep(
            $facts,
            $pot,
            $froths,
            $this->fields->rate($asked, $pot, $underOil),
            $this->fields->number($asked, 'hours_a_day') ?? ($row->number('least_h') + $row->number('most_h')) / 2,
            $this->tables,
        );
    }

    /**
     * @param  list<Told>  $notes
     * @param  list<string>  $read ids of those that somebody has read
     * @param  string  $but id of the one that is no refusal
     *
     * @throws RefusedException where it is never begun so, or is to be read first
     */
    private function heed(array $notes, string $field, array $read, string $but = ''): void
    {
        foreach ($notes as $note) {
            if ($note['rank'] === 'stop' && $note['id'] !== $but) {
                throw (new DecoctionException('never_so', $note['says']))->about($field);
            }
        }
        foreach ($notes as $note) {
            if (($note['must_read'] ?? false) && ! in_array($note['id'], $read, true)) {
                throw CautionException::unread($note['says']);
            }
        }
    }

    /**
     * The cautions of its herbs that somebody has read, as they are kept with it.
     *
     * @param  'decoction'|'long-oil'|'glycerin'  $what
     * @param  array<mixed>  $asked
     * @param  list<string>  $ids
     * @return list<array{id: string, says: Said}>
     */
    public function wereRead(string $what, array $asked, array $ids): array
    {
        $decoct = is_array($asked['decoct'] ?? null) ? $asked['decoct'] : [];
        $read = [];
        foreach ($what === 'long-oil' ? [['herbs' => $asked['paste_herbs'] ?? []], $decoct] : [$asked] as $herbs) {
            $purpose = $what === 'long-oil' ? Fields::text($asked, 'purpose') ?? 'skin' : 'skin';
            foreach ($this->questions->minded($this->fields->mix($herbs)['mix'] ?? null, $purpose) as $note) {
                if (in_array($note->id, $ids, true)) {
                    $read[serialize($note->says)] = ['id' => $note->id, 'says' => $note->says];
                }
            }
        }

        return array_values($read);
    }

    /** @return list<mixed> */
    private static function herbs(?HerbMix $mix): array
    {
        return array_map(fn (HerbPart $part) => $part->plant->said(), $mix->parts ?? []);
    }
}
