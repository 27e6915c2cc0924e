<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Cupboard;

/** What is named on a lid: which of the herbs, oils, waxes and scents there are, by any of its names. */
final readonly class LotMaterial
{
    /** Of what is bought by the bottle so small, the scent is meant, and no leaves: common practice, no source. */
    private const MOST_SCENT_ML = 30.0;

    /** How a wax is sold, and what is said of it besides. */
    private const LIES_AS =
        '/\s*\b(?:pellets?|pastilles?|blocks?|grated|flakes|bars?|slabs?|chips|'.
        'chunks|yellow|white|golden|pure|raw|local|filtered|unbleached)\b\s*/iu';

    public function __construct(private Cupboard $cupboard, private RecipeWords $words) {}

    /**
     * @param  ?float  $ml how much of it, where it is measured as what is poured: then "sunflower" is the oil
     * @return array{string, ?string, string} kind of lot, id where it is known, and its name
     */
    public function of(string $bare, ?float $ml = null): array
    {
        if (preg_match('/\b(?:essential oil|e\.?o\.?)\b/iu', $bare) === 1) {
            $scent = $this->cupboard->scentNamed(trim(preg_replace('/\b(?:essential oil|e\.?o\.?)\b/iu', '', $bare) ?? $bare));

            return ['scent', $scent?->id, $scent->name ?? $bare];
        }
        $addition = $this->cupboard->additionNamed($bare);
        $scent = $ml !== null && $ml <= self::MOST_SCENT_ML ? $this->cupboard->scentNamed($bare) : null;
        $madeOf = MadeOf::what($bare);
        $herb = $this->cupboard->herbNamed($bare);
        $oil = $this->words->oil($bare);
        $plain = trim(preg_replace(self::LIES_AS, '', $bare) ?? $bare);
        $wax = $this->cupboard->waxNamed($plain) ?? $this->cupboard->waxNamed("{$plain} wax");
        // By its whole name before by a word of it.
        $carrier =
            $this->cupboard->carrierNamed($bare) ??
            ($herb === null && ($ml !== null || $this->words->knownHerb($bare) === null)
                ? $this->cupboard->carrierNamed("{$bare} oil")
                : null);

        // "Calendula oil infused in olive" is no more olive oil: whose it is, and what is in it, is for who has it to say.
        if (preg_match('/\binfused\b/iu', $bare) === 1 && $this->words->knownHerb($bare) !== null) {
            return ['carrier', null, $bare];
        }
        // "Dried rosehips, 200 g" are the hips, and what is poured is their oil.
        if ($herb !== null && $ml === null && preg_match('/\b(?:oils?|butters?|fats?)\b/iu', $bare) !== 1) {
            $carrier = null;
        }

        return match (true) {
            $carrier !== null => ['carrier', $carrier->id, $carrier->name],
            $addition !== null => ['addition', $addition->id, $addition->name],
            $wax !== null => ['wax', $wax->id, $wax->name],
            $scent !== null => ['scent', $scent->id, "{$scent->name} essential oil"],
            $herb !== null => ['herb', $herb->id, $herb->name],
            $madeOf !== null => $this->madeOf($bare, $madeOf),
            $oil !== null => ['carrier', $oil['id'] ?: null, $oil['name']],
            default => $this->herb($bare),
        };
    }

    /**
     * Of another plant, what goes into a product is the same thing: "lavender hydrosol" is a hydrosol.
     *
     * @return array{string, ?string, string}
     */
    private function madeOf(string $bare, string $what): array
    {
        // The water of a plant is what was distilled of it.
        $ofPlant = preg_match('/^waters?$/u', $what) === 1 && $this->words->knownHerb($bare) !== null;
        $addition = $this->cupboard->additionNamed($ofPlant ? 'hydrosol' : $what);

        return ['addition', $addition?->id, $addition->name ?? $bare];
    }

    /** @return array{string, ?string, string} */
    private function herb(string $bare): array
    {
        $known = $this->words->knownHerb($bare);

        return ['herb', $known['id'] ?? null, $known['name'] ?? $bare];
    }
}
