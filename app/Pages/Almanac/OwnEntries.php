<?php

namespace App\Pages\Almanac;

use App\House\KitchenFactory;
use App\Responses\Almanac\AlmanacEntry;
use App\Responses\Almanac\AlmanacFact;
use App\Responses\Almanac\AlmanacLink;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Str;
use Kettle\Material\Own;
use Kettle\Material\OwnMeasure;
use Kettle\Material\OwnSchool;
use Kettle\Measure\AmountWriter;
use Kettle\Recipe\Kitchen;
use Kettle\Recipe\OwnSchools;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What only a house can know: the measures it writes amounts in, and the schools it goes by. */
final readonly class OwnEntries
{
    public const KINDS = ['measure', 'school'];

    public function __construct(private KitchenFactory $kitchens, private HouseLinks $links) {}

    /**
     * @param  'measure'|'school'  $kind
     * @return list<AlmanacEntry>
     */
    public function list(string $kind): array
    {
        $kitchen = $this->kitchens->plain();

        return array_values(
            array_map(
                fn (OwnMeasure|OwnSchool $own) => new AlmanacEntry(
                    $kind,
                    $own->id,
                    Str::ucfirst($own->name),
                    self::says($own, $kitchen),
                    true,
                ),
                self::of($kind, $kitchen->cupboard()->own()),
            ),
        );
    }

    /**
     * @return array{name: string, says: string, facts: list<AlmanacFact>, own: list<AlmanacLink>}
     *
     * @throws NotFoundHttpException
     */
    public function page(string $kind, string $key): array
    {
        $kitchen = $this->kitchens->plain();
        $own = self::of($kind, $kitchen->cupboard()->own())[$key] ?? throw new NotFoundHttpException();

        return [
            'name' => Str::ucfirst($own->name),
            'says' => self::says($own, $kitchen).'.',
            'facts' => $own instanceof OwnSchool
                    ? [new AlmanacFact('Hours', $own->hours, ''), new AlmanacFact('Warmth', $own->warmth, '')]
                    : [new AlmanacFact('Also called', implode(', ', $own->also), '')],
            'own' => $own instanceof OwnSchool ? $this->links->made(fn (Builder $batches) => $batches->where('school', $own->id)) : [],
        ];
    }

    /** @return array<string, OwnMeasure>|array<string, OwnSchool> */
    private static function of(string $kind, Own $own): array
    {
        return $kind === 'school' ? $own->schools : $own->measures;
    }

    private static function says(OwnMeasure|OwnSchool $own, Kitchen $kitchen): string
    {
        if ($own instanceof OwnMeasure) {
            $unit = $own->unit();

            return 'one is '.AmountWriter::plain($unit->factor, $unit->kind);
        }
        $variant = array_column(OwnSchools::of($kitchen->methods()->method($own->method), $kitchen), null, 'id')[$own->id] ?? null;
        $way = $kitchen->methods()->method($own->method)->inSentence;

        return ($variant === null ? $own->hours : AmountWriter::span($variant->usualH)).
            ' '.
            $way.
            ($own->warmth === '' ? '' : ', at '.$own->warmth);
    }
}
