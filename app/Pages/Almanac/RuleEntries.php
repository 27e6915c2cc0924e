<?php

namespace App\Pages\Almanac;

use App\House\KitchenFactory;
use App\Responses\Almanac\AlmanacEntry;
use App\Responses\Almanac\AlmanacFact;
use App\Responses\Almanac\AlmanacLink;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Str;
use Kettle\Caution\Caution;
use Kettle\Caution\ColdStorage;
use Kettle\Fault\FaultFinder;
use Kettle\Infusion\Method;
use Kettle\Infusion\Methods;
use Kettle\Infusion\Variant;
use Kettle\Material\Herb;
use Kettle\Measure\AmountWriter;
use Kettle\Recipe\Planning;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Methods, cautions and faults in the Almanac. */
final readonly class RuleEntries
{
    public const KINDS = ['method', 'caution', 'fault'];

    public function __construct(
        private Planning $planning,
        private Methods $methods,
        private FaultFinder $faults,
        private KitchenFactory $kitchens,
        private HouseLinks $links,
    ) {}

    /** @return list<AlmanacEntry> */
    public function list(string $kind): array
    {
        return match ($kind) {
            'method' => array_map(
                fn (Method $method) => new AlmanacEntry(
                    'method',
                    $method->id,
                    ucfirst($method->name),
                    implode('; ', array_map(fn (Variant $school) => $school->name, $method->variants)),
                ),
                array_values($this->methods->all()),
            ),
            'caution' => array_map(
                fn (Caution $rule) => new AlmanacEntry('caution', $rule->id, self::ruleName($rule), $rule->why),
                $this->planning->rules()->all(),
            ),
            'fault' => array_map(
                fn (array $cause) => new AlmanacEntry('fault', $cause['id'], ucfirst($cause['name']), implode('; ', $cause['signs'])),
                $this->faults->causes(),
            ),
            default => [],
        };
    }

    /**
     * @return array{name: string, says: string, facts: list<AlmanacFact>, lines?: list<string>, own?: list<AlmanacLink>}
     *
     * @throws NotFoundHttpException
     */
    public function page(string $kind, string $key): array
    {
        return match ($kind) {
            'method' => $this->method($this->methods->all()[$key] ?? throw new NotFoundHttpException()),
            'caution' => $this->caution(
                array_column($this->planning->rules()->all(), null, 'id')[$key] ?? throw new NotFoundHttpException(),
            ),
            default => $this->fault(array_column($this->faults->causes(), null, 'id')[$key] ?? throw new NotFoundHttpException()),
        };
    }

    /** @return array{name: string, says: string, facts: list<AlmanacFact>, lines: list<string>, own: list<AlmanacLink>} */
    private function method(Method $method): array
    {
        $kitchen = $this->kitchens->plain();
        $practice = $this->planning->rules()->source('practice');

        return [
            'name' => ucfirst($method->name),
            'says' => implode(' ', array_slice($method->tending->handling, 0, 1)),
            'facts' => array_map(
                fn (Variant $school) => new AlmanacFact(
                    ucfirst($school->name),
                    AmountWriter::span($school->leastH).
                        ' to '.
                        AmountWriter::span($school->mostH).
                        ', usually '.
                        AmountWriter::span($school->usualH).
                        ($school->targetC === null
                            ? ''
                            : ', at '.
                                $kitchen->warmth($school->targetC).
                                ' and never over '.
                                $kitchen->warmth($school->ceilingC ?? $school->targetC)).
                        '. '.
                        $school->why,
                    $practice,
                ),
                $method->variants,
            ),
            'lines' => [
                ...array_values(
                    array_filter([
                        $method->tending->lidDry === '' ? '' : 'Dried herb: '.lcfirst($method->tending->lidDry),
                        $method->tending->lidWet === '' ? '' : 'Wet herb: '.lcfirst($method->tending->lidWet),
                    ]),
                ),
                ...$method->tending->handling,
                ...array_map(fn (string $risk) => 'It may go wrong: '.lcfirst($risk), $method->risks),
            ],
            'own' => $this->links->made(fn (Builder $batches) => $batches->where('method', $method->id)),
        ];
    }

    /** @return array{name: string, says: string, facts: list<AlmanacFact>, lines: list<string>} */
    private function caution(Caution $rule): array
    {
        $source = $this->planning->rules()->source($rule->source);
        $trait = $rule->trait();
        $plants =
            $trait === null
                ? []
                : array_filter($this->planning->cupboard()->herbs(), fn (Herb $herb) => in_array($trait, $herb->traits, true));

        return [
            'name' => self::ruleName($rule),
            'says' => $rule->why,
            'facts' => [
                new AlmanacFact('Says', self::plain($rule->says), $source),
                new AlmanacFact(
                    'Rank',
                    match ($rule->rank) {
                        'stop' => 'stop: it is not done so',
                        'care' => $rule->acknowledge ? 'care: read before going on' : 'care',
                        default => 'note',
                    },
                    'set here',
                ),
                new AlmanacFact('Shown at', implode(', ', $rule->places), 'set here'),
            ],
            'lines' => $plants === []
                    ? []
                    : ['It holds for '.implode(', ', array_map(fn (Herb $herb) => $herb->name, array_values($plants))).'.'],
        ];
    }

    /**
     * @param  array{id: string, name: string, signs: list<string>, test: string, do: string, keep: string}  $cause
     * @return array{name: string, says: string, facts: list<AlmanacFact>}
     */
    private function fault(array $cause): array
    {
        $practice = $this->planning->rules()->source('practice');

        return [
            'name' => ucfirst($cause['name']),
            'says' => '',
            'facts' => [
                new AlmanacFact('Shows as', implode('; ', $cause['signs']), $practice),
                new AlmanacFact('Test', $cause['test'], $practice),
                new AlmanacFact('Do', $cause['do'], $practice),
                new AlmanacFact(
                    'Keep it?',
                    match ($cause['keep']) {
                        'keep' => 'yes',
                        'use-soon' => 'use it soon',
                        'discard-if-eaten' => 'not what is to be eaten',
                        default => 'no: throw it away',
                    },
                    $practice,
                ),
            ],
        ];
    }

    private static function ruleName(Caution $rule): string
    {
        return ucfirst(str_replace('-', ' ', $rule->id));
    }

    /** What a rule says where there is no plan to fill its words in from. */
    private static function plain(string $says): string
    {
        $said = (string) preg_replace_callback(
            '/\{(\w+)\}/',
            fn (array $m) => [
                'Herbs' => 'The herb',
                'herbs' => 'the herb',
                'Wet' => 'Wet herb',
                'State' => 'Wet',
                'ceiling' => 'the ceiling of its school',
                'cold' => '4 °C',
                'allergens' => 'allergens',
                'warm_h' => (string) ColdStorage::MOST_WARM_H,
            ][$m[1]] ?? str_replace('_', ' ', $m[1]),
            $says,
        );

        return Str::ucfirst($said);
    }
}
