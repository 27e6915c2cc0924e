<?php

declare(strict_types=1);

namespace Kettle\Recipe;

/** A plan on one page, to stand by the stove and be ticked off: what goes in, what is done, what to watch for. */
final readonly class KitchenCard
{
    /**
     * @param  list<array{name: string, amount: string, also: string}>  $amounts also: the same by weight, where it is measured
     * @param  list<string>  $steps
     * @param  list<array{care: bool, says: string}>  $notes care: more than a note
     */
    private function __construct(
        public string $name,
        public string $sentence,
        public array $amounts,
        public array $steps,
        public array $notes,
    ) {}

    /** @param  array<mixed>  $plan docs/formats/plan.schema.json, as a plan is now or as a batch has it; older ones lack some of it */
    public static function of(array $plan): self
    {
        $figures = self::list($plan, 'figures');
        $figure = fn (string $id): string => self::text($figures[$id] ?? null, 'text');
        $herbs = array_values(self::list($plan, 'herbs')) ?: (isset($plan['herb']) ? [$plan['herb']] : []);
        $amounts = [];
        foreach ($herbs as $i => $herb) {
            $amounts[] = [
                'name' => self::text($herb, 'name').', '.self::text($herb, 'form_name'),
                'amount' => $figure(count($herbs) > 1 ? "herb_mass.{$i}" : 'herb_mass'),
                'also' => '',
            ];
        }
        foreach (self::list($plan, 'oils') as $oil) {
            $id = self::text($oil, 'id');
            $amounts[] = ['name' => self::text($oil, 'name'), 'amount' => $figure("oil_volume.{$id}"), 'also' => $figure("oil_mass.{$id}")];
        }

        return new self(
            self::text($plan, 'name'),
            self::text($plan, 'sentence_text'),
            $amounts,
            array_values(array_map(fn (mixed $step) => self::text($step, 'says'), self::list($plan, 'steps'))),
            self::heed($plan, 'notes'),
        );
    }

    /**
     * @param  array<mixed>  $plan of a product: `answers` of "melt" in docs/formats/reckon.schema.json
     * @param  string  $name what it is called
     */
    public static function ofProduct(array $plan, string $name): self
    {
        return new self(
            $name,
            self::text($plan, 'text'),
            array_values(
                array_map(
                    fn (mixed $part) => [
                        'name' => self::text($part, 'name'),
                        'amount' => self::text($part, 'text'),
                        // Where it goes by weight onto one scale, what that reads then.
                        'also' => self::text($part, 'reads_text'),
                    ],
                    self::list($plan, 'pot'),
                ),
            ),
            array_values(array_map(fn (mixed $step) => self::text($step, 'says'), self::list($plan, 'steps'))),
            self::heed($plan, 'cautions'),
        );
    }

    /**
     * @param  array<mixed>  $plan
     * @return list<array{care: bool, says: string}>
     */
    private static function heed(array $plan, string $key): array
    {
        return array_values(
            array_map(
                fn (mixed $note) => ['care' => self::text($note, 'rank') !== 'note', 'says' => self::text($note, 'says')],
                self::list($plan, $key),
            ),
        );
    }

    private static function text(mixed $from, string $key): string
    {
        return is_array($from) && is_string($from[$key] ?? null) ? $from[$key] : '';
    }

    /**
     * @param  array<mixed>  $from
     * @return array<mixed>
     */
    private static function list(array $from, string $key): array
    {
        return is_array($from[$key] ?? null) ? $from[$key] : [];
    }
}
