<?php

declare(strict_types=1);

namespace Kettle\Material;

/** A plant that a house entered: what was not said is taken from its kin and its family, and told as unknown. */
final readonly class OwnPlants
{
    public function __construct(private Cupboard $cupboard) {}

    /**
     * @param  list<string>  $also
     * @return array{?Herb, array<string, mixed>, list<string>} the plant, its fields as they are kept, and what nobody has said
     */
    public function read(OwnFields $from, string $id, string $name, array $also): array
    {
        $own = $this->cupboard->tables()->table('own');
        $latin = $from->name('latin', 80, false);
        $part = $from->name('part', 40, false);
        $form = $from->oneOf('form', array_keys($this->cupboard->forms()), null);
        $water = $from->number('water', 1, 97, Figure::PerCent);
        $best = $from->oneOf('best', array_column(State::cases(), 'value'), 'dried');
        $food = $from->oneOf('food', OwnReader::FOOD, 'unknown');
        $families = [];
        foreach ($own->rows('families') as $row) {
            $families[$row->text('id')] = $row->texts('traits');
        }
        $family = $from->oneOf('family', array_keys($families), '');
        $concerns = $from->listOf('concerns', array_map(fn (Row $row) => $row->text('id'), array_values($own->rows('concerns'))));
        [$kinId, $kin] = $from->ofTheAlmanac('kin', 'plant', $this->cupboard->herbOrNull(...));
        $looks = $from->name('look_alikes', 160, false);
        $unknown = array_keys(
            array_filter([
                'concerns' => $concerns === null && $kin === null,
                'food' => $food === 'unknown',
                'water' => $water === null,
            ]),
        );
        $watery = $water === null || $water / 100 >= $own->row('unknown')->row('watery_from')->number('value');
        // A tested way to sour one plant is none for another.
        $inherited = array_filter($kin->traits ?? [], fn (string $trait) => ! str_starts_with($trait, 'soured-'));
        $traits = [
            ...$families[$family] ?? [],
            ...$inherited,
            ...$concerns ?? [],
            ...$looks === '' ? [] : ['look-alike'],
            ...$watery ? ['watery'] : [],
            'low-acid',
        ];
        if ($from->faults() !== [] || $form === null) {
            return [null, [], []];
        }
        $fields = [
            'latin' => $latin,
            'part' => $part,
            'form' => $form,
            'water' => $water,
            'best' => $best,
            'food' => $food,
            'family' => $family,
            'concerns' => $concerns,
            'kin' => $kinId,
            'look_alikes' => $looks,
        ];

        return [
            new Herb(
                $id,
                $name,
                $latin,
                $part,
                $form,
                $food === 'yes',
                State::from((string) $best),
                $from->text('note', 400),
                array_values(array_unique($traits)),
                $also,
                self::lookAlikes($looks, $kin, $traits),
                $water === null ? null : $water / 100,
                in_array('concerns', $unknown, true) ? Herb::UNASKED : Herb::ASKED,
            ),
            $fields,
            $unknown,
        ];
    }

    /** @param  array<string>  $traits */
    private static function lookAlikes(string $said, ?Herb $kin, array $traits): string
    {
        return $said ?: $kin->lookAlikes ?? '' ?: (in_array('look-alike', $traits, true) ? 'which, nobody has said here' : '');
    }
}
