<?php

declare(strict_types=1);

namespace Kettle\Material;

/** What a house has entered as its own: plants, oils and fats, waxes and butters, essential oils, measures and schools. */
final readonly class Own
{
    /** What the ids of a house's own things begin with; none of the tables' does. */
    public const PREFIX = 'own-';

    /**
     * @param  array<string, Herb>  $herbs by id, as are the others
     * @param  array<string, Carrier>  $carriers
     * @param  array<string, Wax>  $waxes
     * @param  array<string, EssentialOil>  $essentialOils
     * @param  array<string, OwnMeasure>  $measures
     * @param  array<string, OwnSchool>  $schools
     * @param  list<string>  $away ids of those that are offered no longer, and are known all the same
     */
    public function __construct(
        public array $herbs = [],
        public array $carriers = [],
        public array $waxes = [],
        public array $essentialOils = [],
        public array $measures = [],
        public array $schools = [],
        public array $away = [],
    ) {}

    public static function none(): self
    {
        return new self();
    }

    /** @param  iterable<OwnThing>  $things */
    public static function of(iterable $things): self
    {
        $herbs = $carriers = $waxes = $essentialOils = $measures = $schools = $away = [];
        foreach ($things as $own) {
            $thing = $own->thing;
            match (true) {
                $thing instanceof Herb => ($herbs[$own->id] = $thing),
                $thing instanceof Carrier => ($carriers[$own->id] = $thing),
                $thing instanceof Wax => ($waxes[$own->id] = $thing),
                $thing instanceof OwnMeasure => ($measures[$own->id] = $thing),
                $thing instanceof OwnSchool => ($schools[$own->id] = $thing),
                default => ($essentialOils[$own->id] = $thing),
            };
            if ($own->away) {
                $away[] = $own->id;
            }
        }

        return new self($herbs, $carriers, $waxes, $essentialOils, $measures, $schools, $away);
    }

    public static function is(string $id): bool
    {
        return str_starts_with($id, self::PREFIX);
    }
}
