<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;
use Kettle\Measure\Amount;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Density;
use Kettle\Measure\Kind;
use Kettle\Measure\UnitWords;

/** How much of which oil a line of a recipe speaks of. */
final readonly class OilLine
{
    /** Measured so, a thing is poured: what nobody knows by name is no herb then. */
    public const POURED = '/(?<!\p{L})(?:'.UnitWords::METRIC_VOLUME.'|'.UnitWords::FLUID_OUNCES.')$/iu';

    public const METRIC = '/(?<!\p{L})'.UnitWords::METRIC.'$/iu';

    public function __construct(private Cupboard $cupboard) {}

    /** Whether what is measured so is poured, and an oil by its short name for sure: "250 mL olive"; "1 cup olive" is one by a guess. */
    public static function isPoured(string $typed): bool
    {
        return preg_match(self::POURED, $typed) === 1;
    }

    /** @return array{id: string, name: string}|null the oil that is called so without the word: "castor"; walnuts are no oil */
    public function calledShort(string $name): ?array
    {
        $oil = preg_match('/s$/iu', $name) === 1 ? null : $this->cupboard->carrierNamed("{$name} oil");

        return $oil === null ? null : ['id' => $oil->id, 'name' => $oil->name];
    }

    /**
     * @param  array{id: string, name: string}  $oil id empty where the tables do not have it
     * @param  ?Amount  $aside what stands in brackets beside it
     * @return array{oil: array{id: string, name: string, ml: float, typed: string}, says: string, guess: bool}
     */
    public function measured(Amount $amount, string $typed, array $oil, ?Amount $aside): array
    {
        $known = $oil['id'] !== '';
        // Of an oil that nobody knows, the weight is taken to be an oil's, until it is chosen.
        $density = $known ? $this->cupboard->carrier($oil['id'])->at20 : Density::gramsPerMl(0.915);
        $ml = $amount->kind === Kind::Mass ? $density->volumeOf($amount->value) : $amount->value;
        $says = sprintf('%s of %s.', AmountWriter::plain($ml, Kind::Volume), $oil['name']);
        $guess = ! $known;
        if ($amount->low < $amount->high) {
            $says .= ' The middle of what is written.';
            $guess = true;
        }
        if ($aside !== null) {
            $beside = $aside->kind === Kind::Mass ? $density->volumeOf($aside->value) : $aside->value;
            // What is measured in millilitres or grams is not the cups beside it.
            $first = $amount->low === $amount->high && preg_match(self::METRIC, $typed) === 1;
            if (abs($beside / $ml - 1) > AmountTwice::SAME) {
                $says = sprintf(
                    $first
                        ? '%s of %s; the amount in the brackets is not the same.'
                        : '%s of %s, as the brackets say; the two amounts written are not the same.',
                    AmountWriter::plain($first ? $ml : $beside, Kind::Volume),
                    $oil['name'],
                );
                $guess = true;
            }
            [$ml, $typed] = $first ? [$ml, $typed] : [$beside, round($beside, 1).' mL'];
        }
        if (! $known) {
            $says .= ' '.self::ask($oil['name']);
        }

        return [
            'oil' => [
                'id' => $oil['id'],
                'name' => $oil['name'],
                'ml' => $ml,
                'typed' => $amount->low < $amount->high ? round($ml, 1).' mL' : $typed,
            ],
            'says' => $says,
            'guess' => $guess,
        ];
    }

    /** Which oil it is, asked by the name it has. */
    public static function ask(string $name): string
    {
        return mb_strtolower($name) === 'oil'
            ? 'Which oil is not said: choose it at the Bench.'
            : sprintf('“%s” is not in the tables: choose an oil at the Bench. None is taken for it.', $name);
    }
}
