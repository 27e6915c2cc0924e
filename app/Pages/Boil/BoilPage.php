<?php

namespace App\Pages\Boil;

use App\Actions\Boil\PouredFrom;
use App\Actions\Boil\StoveOfHouse;
use App\House\KitchenFactory;
use App\House\Times;
use App\Responses\Boil\BoilDay;
use App\Responses\Boil\BoilLayer;
use App\Responses\Boil\BoilNote;
use App\Responses\Boil\BoilPiece;
use App\Responses\Boil\BoilPot;
use App\Responses\Boil\BoilSign;
use App\Responses\Boil\BoilStage;
use App\Responses\Boil\BoilView;
use App\Responses\Boil\SolventRow;
use App\Responses\Boil\SolventsView;
use App\Responses\Boil\SolventTakes;
use App\Responses\Choice;
use Kettle\Ask\BoilFields;
use Kettle\Ask\DecoctionQuestions;
use Kettle\Ask\Questions;
use Kettle\Decoction\Solvents;
use Kettle\Material\Tables;
use Kettle\Reason\RefusedException;
use Kettle\Recipe\WishException;
use Kettle\Time\Dates;

/**
 * What is boiled down, as the core reckons it, for the page it is planned on.
 *
 * @phpstan-import-type Level from DecoctionQuestions
 * @phpstan-import-type Told from BoilFields
 * @phpstan-import-type Figures from DecoctionQuestions
 * @phpstan-import-type Decoction from DecoctionQuestions
 * @phpstan-import-type Long from DecoctionQuestions
 */
final readonly class BoilPage
{
    /** Where the page calls what the core calls otherwise. */
    private const FIELDS = [
        'ml_per_hour' => 'rate',
        'glycerin_share' => 'share',
        'pot.diameter_mm' => 'width',
        'pot.height_mm' => 'height',
        'pot' => 'width',
    ];

    public function __construct(
        private Questions $questions,
        private KitchenFactory $kitchens,
        private Times $times,
        private Tables $tables,
        private Measures $measures,
        private BoilSentence $sentence,
        private StoveOfHouse $stove,
    ) {}

    /**
     * @param  'decoction'|'long-oil'|'glycerin'  $what
     * @param  array<string, mixed>  $asked as the core takes it
     * @param  array{width?: string, height?: string, rate?: string, share?: string, hours_a_day?: string}  $measures as they were typed
     * @param  array<string, mixed>  $typed all of it
     * @param  array{oil?: string, liquid?: string}  $from pots of the house that a long oil is poured from
     *
     * @throws WishException with the sentence of it
     */
    public function of(string $what, array $asked, array $measures, array $typed, array $from): BoilView
    {
        $ask = $this->questions->decoction($this->kitchens->plain()->during($this->stove->free()));
        $sentence = $this->sentence->of($what, $typed);
        try {
            return self::asCalledHere(function () use ($what, $asked, $measures, $from, $ask, $sentence): BoilView {
                $pieces = array_map(fn (array $piece) => new BoilPiece(...$piece), $sentence);
                $asked = [...PouredFrom::asked($asked, $from), ...$this->measures->read($measures)];

                return match ($what) {
                    'decoction' => $this->decoction($ask->decoction($asked), $pieces),
                    'long-oil' => $this->longOil($ask->longOil($asked), $pieces),
                    'glycerin' => $this->glycerin($ask->glycerin($asked), $pieces),
                };
            });
        } catch (RefusedException $refused) {
            throw WishException::from($refused)->saying($sentence);
        }
    }

    /**
     * Does something; a refusal is laid to the field as the page calls it.
     *
     * @template T
     *
     * @param  \Closure(): T  $do
     * @return T
     *
     * @throws RefusedException
     */
    private static function asCalledHere(\Closure $do): mixed
    {
        try {
            return $do();
        } catch (RefusedException $refused) {
            throw $refused->about(self::FIELDS[$refused->field] ?? $refused->field);
        }
    }

    /** @throws RefusedException */
    public function solvents(string $herb, ?string $use): SolventsView
    {
        $answer = $this->questions->pot($this->kitchens->plain())->solvents(['herb' => $herb, 'use' => $use]);

        return new SolventsView(
            $answer['herb'],
            $answer['name'],
            $answer['oil'],
            $answer['says'],
            $answer['why'],
            array_map(fn (array $each) => new Choice($each['id'], $each['name']), (new Solvents($this->tables))->uses()),
            array_map(
                fn (array $row) => new SolventRow(
                    $row['id'],
                    $row['name'],
                    array_map(fn (array $each) => new SolventTakes($each['name'], $each['takes']), $row['takes']),
                    $row['fits'],
                    $row['keeps'],
                    $row['how'],
                    $row['mixes'],
                    $row['planned'],
                ),
                $answer['solvents'],
            ),
        );
    }

    /**
     * @param  Decoction  $answer
     * @param  list<BoilPiece>  $sentence
     */
    private function decoction(array $answer, array $sentence): BoilView
    {
        return new BoilView(
            'decoction',
            $sentence,
            $answer['hardness'],
            $answer['figures'],
            [new BoilStage('decoction', 'water', self::pot($answer['pot']))],
            [],
            [],
            self::notes($answer['notes']),
        );
    }

    /**
     * @param  Long  $answer
     * @param  list<BoilPiece>  $sentence
     */
    private function longOil(array $answer, array $sentence): BoilView
    {
        return new BoilView(
            'long-oil',
            $sentence,
            null,
            $answer['figures'],
            array_map(fn (array $each) => new BoilStage($each['stage'], $each['liquid'], self::pot($each['pot'])), $answer['stages']),
            array_map(function (array $day): BoilDay {
                [$from, $to] = [new \DateTimeImmutable($day['from']), new \DateTimeImmutable($day['to'])];

                return new BoilDay(
                    $day['from'],
                    $day['to'],
                    $this->times->logged($from).' to '.Dates::say($this->kitchens->local($to), 'clock'),
                    round(($to->getTimestamp() - $from->getTimestamp()) / 3600, 2),
                );
            }, $answer['days']),
            array_map(fn (array $each) => new BoilSign(...$each), $answer['signs']),
            self::notes($answer['notes']),
        );
    }

    /**
     * @param  array{figures: Figures, notes: list<Told>, ...}  $answer
     * @param  list<BoilPiece>  $sentence
     */
    private function glycerin(array $answer, array $sentence): BoilView
    {
        return new BoilView('glycerin', $sentence, null, $answer['figures'], [], [], [], self::notes($answer['notes']));
    }

    /** @param  Level|null  $pot */
    private static function pot(?array $pot): ?BoilPot
    {
        return $pot === null
            ? null
            : new BoilPot(...['layers' => array_map(fn (array $each) => new BoilLayer(...$each), $pot['layers'])] + $pot);
    }

    /**
     * @param  list<Told>  $notes
     * @return list<BoilNote>
     */
    private static function notes(array $notes): array
    {
        return array_map(fn (array $each) => new BoilNote(...$each), $notes);
    }
}
