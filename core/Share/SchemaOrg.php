<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\Plan;
use Kettle\Recipe\Steps;

/**
 * A recipe as schema.org Recipe in JSON-LD. The context is written out, so that it can be expanded with
 * no network. Our own wish goes along as an encoding, so that nothing is lost between two kettles.
 */
final class SchemaOrg
{
    public const WISH_TYPE = 'application/vnd.warm-kettle.wish+json';

    /** @return array<string, mixed> */
    public static function write(string $name, string $note, Plan $plan, Kitchen $kitchen): array
    {
        $words = $kitchen->words();
        $wish = $plan->wish;
        $amounts = $plan->amounts;
        $yield = $plan->figures['yield_volume']->number();
        $ingredients = [];
        foreach ($wish->mix->shares() as $i => $share) {
            $part = $wish->mix->parts[$i];
            $ingredients[] = sprintf(
                '%s %s, %s',
                AmountWriter::plain($amounts->herbG * $share, Kind::Mass),
                $part->plant->name,
                $part->form->name,
            );
        }
        foreach ($wish->blend->shares() as $oil) {
            $ingredients[] = sprintf('%s %s', AmountWriter::plain($amounts->oilMl * $oil['share'], Kind::Volume), $oil['carrier']->name);
        }

        return array_filter(
            [
                '@context' => ['@vocab' => 'https://schema.org/'],
                '@type' => 'Recipe',
                'name' => $name,
                'description' => $note,
                'recipeCategory' => $wish->purpose === 'kitchen' ? 'Infused oil' : 'Infused oil, for the skin only',
                'cookingMethod' => $wish->method->name,
                'recipeYield' => AmountWriter::plain($yield, Kind::Volume),
                'prepTime' => 'PT20M',
                'totalTime' => self::duration($plan),
                'recipeIngredient' => $ingredients,
                'recipeInstructions' => array_map(
                    fn (array $step) => ['@type' => 'HowToStep', 'text' => $words->of($step['says'])],
                    Steps::of($plan),
                ),
                'encoding' => self::encoded((new ForAnyHouse($kitchen))->of($wish->asked->document)),
            ],
            fn (mixed $value) => $value !== '',
        );
    }

    /**
     * @param  array<mixed>  $plan of a product: `answers` of "melt" in docs/formats/reckon.schema.json
     * @param  array<mixed>  $wish
     * @return array<string, mixed>
     */
    public static function product(string $name, string $note, array $plan, array $wish, bool $eaten): array
    {
        $list = fn (string $key): array => array_filter(is_array($plan[$key] ?? null) ? $plan[$key] : [], is_array(...));
        $text = fn (array $from, string $key): string => is_string($from[$key] ?? null) ? $from[$key] : '';
        $tins = is_array($plan['tins'] ?? null) ? $plan['tins'] : [];
        $count = is_int($tins['count'] ?? null) ? $tins['count'] : 0;
        $vessel = is_string($tins['vessel'] ?? null) ? $tins['vessel'] : 'tin';

        return array_filter(
            [
                '@context' => ['@vocab' => 'https://schema.org/'],
                '@type' => 'Recipe',
                'name' => $name,
                'description' => $note,
                'recipeCategory' => $eaten ? 'Kitchen' : 'For the skin only',
                'recipeYield' => $count === 0 ? '' : "{$count} {$vessel}".($count === 1 ? '' : 's'),
                'recipeIngredient' => array_values(
                    array_map(fn (array $part) => $text($part, 'text').' '.$text($part, 'name'), $list('pot')),
                ),
                'recipeInstructions' => array_values(
                    array_map(fn (array $step) => ['@type' => 'HowToStep', 'text' => $text($step, 'says')], $list('steps')),
                ),
                'encoding' => self::encoded($wish),
            ],
            fn (mixed $value) => $value !== '',
        );
    }

    /**
     * @param  array<mixed>  $wish
     * @return array<string, string>
     */
    private static function encoded(array $wish): array
    {
        return [
            '@type' => 'MediaObject',
            'encodingFormat' => self::WISH_TYPE,
            'text' => json_encode(RecipeFile::shared($wish), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR),
        ];
    }

    /**
     * A Recipe out of a JSON-LD document: itself, in a list, or in a @graph.
     *
     * @param  array<mixed>  $document
     * @return array<mixed>|null
     */
    public static function find(array $document, int $depth = 0): ?array
    {
        $types = (array) ($document['@type'] ?? []);
        foreach ($types as $type) {
            if (is_string($type) && preg_match('~(^|[/:#])(?:Recipe|HowTo)$~', $type) === 1) {
                return $document;
            }
        }
        $within = array_is_list($document) ? $document : $document['@graph'] ?? ($document['mainEntity'] ?? []);
        foreach ($depth < 4 && is_array($within) ? [...array_is_list($within) ? $within : [$within]] : [] as $each) {
            $found = is_array($each) ? self::find($each, $depth + 1) : null;
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /**
     * @param  array<mixed>  $recipe
     *
     * @throws RecipeException
     */
    public static function read(array $recipe, PastedRecipe $lines): ReadRecipe
    {
        $name = self::text($recipe['name'] ?? null, 120);
        $note = self::text($recipe['description'] ?? null, 5000);
        $encoding = $recipe['encoding'] ?? null;
        $encodings = is_array($encoding) && array_is_list($encoding) ? $encoding : [$encoding];
        foreach ($encodings as $each) {
            $wish =
                is_array($each) && ($each['encodingFormat'] ?? null) === self::WISH_TYPE && is_string($each['text'] ?? null)
                    ? json_decode($each['text'], true, 16)
                    : null;
            if (is_array($wish)) {
                return new ReadRecipe($name, $note, RecipeFile::shared($wish), [], []);
            }
        }
        // A HowTo has its ingredients as supplies, and its steps by themselves.
        $texts = [
            ...self::texts($recipe['recipeIngredient'] ?? ($recipe['ingredients'] ?? ($recipe['supply'] ?? []))),
            ...self::texts($recipe['cookingMethod'] ?? []),
            ...self::texts($recipe['recipeInstructions'] ?? ($recipe['step'] ?? [])),
        ];
        $read = $lines->read(implode("\n", $texts), $name === '' ? null : $name);

        return new ReadRecipe($name !== '' ? $name : $read->name, $note, $read->wish, $read->lines, $read->notes);
    }

    private static function text(mixed $value, int $most): string
    {
        $value = is_array($value) ? $value[0] ?? ($value['@value'] ?? '') : $value;

        return is_string($value) ? mb_substr(trim(html_entity_decode(strip_tags($value))), 0, $most) : '';
    }

    /** @return list<string> */
    private static function texts(mixed $value, int $depth = 0): array
    {
        if (is_string($value)) {
            return [self::text($value, 500)];
        }
        if (! is_array($value) || $depth > 4) {
            return [];
        }
        // "{name: rose petals, value: 20 g}" is so much of them.
        $much = self::much($value);
        if ($much !== '') {
            return [trim($much.' '.self::text($value['name'] ?? null, 400))];
        }
        if (! array_is_list($value)) {
            return self::texts($value['itemListElement'] ?? ($value['text'] ?? ($value['name'] ?? ($value['@value'] ?? []))), $depth + 1);
        }

        return array_merge([], ...array_map(fn (mixed $each) => self::texts($each, $depth + 1), array_slice($value, 0, 200)));
    }

    /** @param  array<mixed>  $value a PropertyValue of schema.org, such as {"name": "rose petals", "value": 20, "unitText": "g"} */
    private static function much(array $value): string
    {
        $much = $value['value'] ?? null;
        $unit = $value['unitText'] ?? '';

        return is_scalar($much) && is_string($unit) ? self::text("{$much} {$unit}", 100) : '';
    }

    /** From filling to bottling, ISO 8601. */
    private static function duration(Plan $plan): string
    {
        $hours = (int) ceil(($plan->timetable->settledAt->getTimestamp() - $plan->timetable->fillAt->getTimestamp()) / 3600);

        return $hours >= 24 ? 'P'.intdiv($hours, 24).'D'.($hours % 24 > 0 ? 'T'.$hours % 24 .'H' : '') : "PT{$hours}H";
    }
}
