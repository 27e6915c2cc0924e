<?php

namespace App\Pages\Almanac;

use App\House\KitchenFactory;
use App\Responses\Almanac\AlmanacEntry;
use App\Responses\Almanac\AlmanacFact;
use Illuminate\Support\Str;
use Kettle\Material\EssentialOil;
use Kettle\Material\Own;
use Kettle\Material\Wax;
use Kettle\Melt\MeltTable;
use Kettle\Melt\Product;
use Kettle\Recipe\Planning;
use Kettle\Stores\LotKind;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What the Almanac tells of what the Melt works with: waxes and butters, essential oils, and what is made of them. */
final readonly class MeltEntries
{
    public const KINDS = ['wax', 'scent', 'product'];

    /** What a trait of an essential oil means for who uses it. */
    private const TRAITS = [
        'vapour' => 'not near the faces of small children',
        'pregnancy' => 'not while pregnant or nursing',
        'pets' => 'poison to cats and dogs',
        'irritant' => 'can burn or sensitise',
        'salicylate' => 'not with blood thinners or aspirin allergy',
        'daisy-family' => 'of the daisy family',
        'never-eaten' => 'never eaten',
    ];

    public function __construct(private Planning $planning, private KitchenFactory $kitchens, private HouseLinks $links) {}

    /** @return list<AlmanacEntry> */
    public function list(string $kind): array
    {
        $cupboard = $this->planning->cupboard();

        return match ($kind) {
            'wax' => array_map(
                fn (Wax $wax) => new AlmanacEntry('wax', $wax->id, Str::ucfirst($wax->name), $wax->note, Own::is($wax->id)),
                array_values($cupboard->waxes()),
            ),
            'scent' => array_map(
                fn (EssentialOil $oil) => new AlmanacEntry(
                    'scent',
                    $oil->id,
                    Str::ucfirst($oil->name),
                    self::limit($oil),
                    Own::is($oil->id),
                ),
                array_values($cupboard->essentialOils()),
            ),
            'product' => array_map(
                fn (Product $product) => new AlmanacEntry('product', $product->id, ucfirst($product->name), $product->note),
                array_values(MeltTable::of($this->planning->tables())->products()),
            ),
            default => [],
        };
    }

    /**
     * @return array{name: string, says: string, facts: list<AlmanacFact>}
     *
     * @throws NotFoundHttpException
     */
    public function page(string $kind, string $key): array
    {
        $cupboard = $this->planning->cupboard();

        return match ($kind) {
            'wax' => $this->wax($cupboard->waxOrNull($key) ?? throw new NotFoundHttpException()) + [
                'own' => $this->links->kept(LotKind::Wax, $key),
            ],
            'scent' => $this->scent($cupboard->scentOrNull($key) ?? throw new NotFoundHttpException()),
            default => $this->product(MeltTable::of($this->planning->tables())->products()[$key] ?? throw new NotFoundHttpException()),
        };
    }

    /** @return array{name: string, says: string, facts: list<AlmanacFact>} */
    private function wax(Wax $wax): array
    {
        $kitchen = $this->kitchens->plain();

        return self::told(Str::ucfirst($wax->name), $wax->note, [
            $this->fact('INCI name', $wax->inci, 'memory'),
            $wax->meltsFromC === null || $wax->meltsToC === null
                ? null
                : $this->fact(
                    'Melts',
                    $kitchen->warmth($wax->meltsFromC).' to '.$kitchen->warmth($wax->meltsToC),
                    $wax->id === 'beeswax' ? 'pharmacopoeia' : 'memory',
                ),
            $wax->hardness === null ? null : $this->fact('Stands for', sprintf('%g parts of beeswax', $wax->hardness), 'memory'),
            $wax->pellets === null
                ? null
                : $this->fact('A cup of it, loose', sprintf('about %d g', round($wax->pellets->massOf(236.588))), 'memory'),
            $this->fact('Keeps', sprintf('%d months opened', round($wax->months)), 'memory'),
            $this->fact('For the kitchen', $wax->foodGradeExists ? 'to be had in food grade' : 'not sold as food', 'practice'),
            $wax->allergens === [] ? null : $this->fact('Contains', implode(', ', $wax->allergens), 'practice'),
        ]);
    }

    /** @return array{name: string, says: string, facts: list<AlmanacFact>} */
    private function scent(EssentialOil $oil): array
    {
        $for = array_values(array_intersect_key(self::TRAITS, array_flip($oil->traits)));
        $allergens = $oil->allergens;
        arsort($allergens);

        return self::told(Str::ucfirst($oil->name), $oil->note, [
            $this->fact('INCI name', $oil->names->inci, 'memory'),
            $this->fact('On the skin', self::limit($oil), $oil->source),
            $for === [] ? null : $this->fact('To heed', implode('; ', $for), 'tisserand'),
            $oil->allergens === []
                ? null
                : $this->fact('Must be named where there is enough', implode(', ', array_keys($allergens)), 'eu-2023-1545'),
            $oil->solid ? null : $this->fact('A drop', sprintf('%.0f mg, at 20 to the millilitre', $oil->dropG(20.0) * 1000), 'memory'),
        ]);
    }

    /** @return array{name: string, says: string, facts: list<AlmanacFact>} */
    private function product(Product $product): array
    {
        $sizes = implode(', ', array_map(fn (float $ml) => sprintf('%g', $ml), $product->vesselMl));

        return self::told(ucfirst($product->name), $product->note, [
            $product->shares['wax'][1] > 0 ? $this->fact('Wax, by weight', self::share($product->shares['wax']), 'practice') : null,
            $product->shares['butter'][1] > 0
                ? $this->fact('Butter, by weight', self::share($product->shares['butter']), 'practice')
                : null,
            $this->fact('Oil, by weight', self::share($product->shares['oil']), 'practice'),
            $this->fact('Put into', sprintf('%ss of %s mL', $product->vessel, $sizes), 'practice'),
            $product->monthsMost === null ? null : $this->fact('Keeps', sprintf('%g months at most', $product->monthsMost), 'practice'),
        ]);
    }

    /** @param  array{float, float}  $pair least and most */
    private static function share(array $pair): string
    {
        return sprintf('%g to %g %%', $pair[0] * 100, $pair[1] * 100);
    }

    /** How much of it may be, in words. */
    public static function limit(EssentialOil $oil): string
    {
        return $oil->limitPercent === null
            ? 'no limit of its own'
            : sprintf('at most %g %% %s', $oil->limitPercent, $oil->limitForSun ? 'where the sun comes' : 'on the skin');
    }

    private function fact(string $name, string $text, string $source): AlmanacFact
    {
        return new AlmanacFact($name, $text, $this->planning->rules()->source($source));
    }

    /**
     * @param  list<?AlmanacFact>  $facts
     * @return array{name: string, says: string, facts: list<AlmanacFact>}
     */
    private static function told(string $name, string $says, array $facts): array
    {
        return ['name' => $name, 'says' => $says, 'facts' => array_values(array_filter($facts))];
    }
}
