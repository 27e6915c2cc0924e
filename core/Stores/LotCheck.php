<?php

declare(strict_types=1);

namespace Kettle\Stores;

use Kettle\Material\Row;
use Kettle\Material\Tables;
use Kettle\Reason\Said;
use Kettle\Reason\UnknownField;

/** A short guided check of what is in the cupboard, or in its bottles, by nose, eye and fingers: the verdict and why. */
final readonly class LotCheck
{
    /** What is asked of an oil that was made and bottled here. */
    public const BOTTLED = 'bottled';

    /**
     * @param  'past'|'soon'|'sound'  $verdict
     * @param  list<array{ask: string, asks: string, answer: string, says: string, points: int}>  $answers
     */
    private function __construct(public string $verdict, public array $answers) {}

    /**
     * @return list<array{id: string, asks: string, answers: list<array{id: string,
     *     says: string}>}> what is asked; empty for jars and bottles
     */
    public static function asks(LotKind|string $kind, Tables $tables): array
    {
        return array_map(
            fn (Row $ask) => [
                'id' => $ask->text('id'),
                'asks' => $ask->text('asks'),
                'answers' => array_values(
                    array_map(fn (Row $answer) => ['id' => $answer->text('id'), 'says' => $answer->text('says')], $ask->rows('answers')),
                ),
            ],
            self::rows($kind, $tables),
        );
    }

    /**
     * @param  array<mixed>  $answers answer id by ask id; all must be answered
     *
     * @throws LotException
     */
    public static function of(LotKind|string $kind, array $answers, Tables $tables): self
    {
        $rows = self::rows($kind, $tables);
        if ($rows === []) {
            throw LotException::nothingToCheck($kind);
        }
        $asks = array_map(fn ($ask) => $ask->text('id'), $rows);
        foreach (array_diff(array_map(strval(...), array_keys($answers)), $asks) as $unknown) {
            throw new LotException('unknown_field', UnknownField::sentence($unknown, $asks), 'answers.'.mb_substr($unknown, 0, 40));
        }
        $given = [];
        $points = 0;
        foreach ($rows as $ask) {
            $answer = $answers[$ask->text('id')] ?? null;
            $found = null;
            foreach ($ask->rows('answers') as $each) {
                $found = $each->text('id') === $answer ? $each : $found;
            }
            if ($found === null) {
                throw LotException::unanswered($ask->text('asks'), 'answers.'.$ask->text('id'));
            }
            $points += (int) $found->number('points');
            $given[] = [
                'ask' => $ask->text('id'),
                'asks' => $ask->text('asks'),
                'answer' => $found->text('id'),
                'says' => $found->text('says'),
                'points' => (int) $found->number('points'),
            ];
        }
        $verdicts = $tables->table('checks')->row('verdicts');
        $verdict = match (true) {
            $points >= $verdicts->number('past_from') => 'past',
            $points >= $verdicts->number('soon_from') => 'soon',
            default => 'sound',
        };

        return new self($verdict, $given);
    }

    /** With what weighed. */
    public function says(LotKind|string $kind): Said
    {
        $of = $kind instanceof LotKind ? $kind->value : $kind;
        $against = array_filter($this->answers, fn (array $answer) => $answer['points'] > 0);
        usort($against, fn (array $a, array $b) => $b['points'] <=> $a['points']);
        $why = [
            'why' => ['each' => array_map(fn (array $answer) => ['answer' => [$of, $answer['ask'], $answer['answer']]], $against)],
        ];

        return match ($this->verdict) {
            'past' => Said::of($kind === LotKind::Herb ? 'check.compost' : 'check.not-used', $why),
            'soon' => Said::of('check.soon', $why),
            default => $against === [] ? Said::of('check.sound') : Said::of('check.sound-but', $why),
        };
    }

    /** @return list<Row> */
    private static function rows(LotKind|string $kind, Tables $tables): array
    {
        foreach ($tables->table('checks')->rows('rows') as $row) {
            if ($row->text('kind') === ($kind instanceof LotKind ? $kind->value : $kind)) {
                return array_values($row->rows('asks'));
            }
        }

        return [];
    }
}
