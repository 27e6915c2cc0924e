<?php

declare(strict_types=1);

namespace Kettle\Fault;

use Kettle\Material\Row;
use Kettle\Material\Tables;

/**
 * From what is seen, and from what a batch's own records say, to what is likely wrong.
 *
 * Each sign counts for its causes, and each fact for or against; the sums set the order. The weights are
 * judgement, not measurement: data/faults.json, common practice, no source.
 */
final readonly class FaultFinder
{
    /** What becomes of what has a fault, the most careful first. */
    public const KEEPS = ['discard', 'discard-if-eaten', 'use-soon', 'keep'];

    /** Within so much of the first, a cause is as likely. */
    private const NEAR = 2;

    public function __construct(private Tables $tables) {}

    /** @return list<array{id: string, says: string, of: list<string>, discard: bool}> */
    public function signs(): array
    {
        return array_values(
            array_map(
                fn (Row $row) => [
                    'id' => $row->text('id'),
                    'says' => $row->text('says'),
                    'of' => $row->texts('of'),
                    'discard' => $row->flag('discard'),
                ],
                $this->table()->rows('signs'),
            ),
        );
    }

    /**
     * @return list<array{id: string, name: string, signs: list<string>, test: string, do: string,
     *     keep: string}> as the Almanac lists them
     */
    public function causes(): array
    {
        $says = array_column($this->signs(), 'says', 'id');

        return array_values(
            array_map(
                fn (Row $row) => [
                    'id' => $row->text('id'),
                    'name' => $row->text('name'),
                    'test' => $row->text('test'),
                    'do' => $row->text('do'),
                    'keep' => $row->oneOf('keep', self::KEEPS),
                    'signs' => array_map(fn (string|int $id) => $says[$id] ?? (string) $id, array_keys($row->numbers('signs'))),
                ],
                $this->table()->rows('causes'),
            ),
        );
    }

    /**
     * @param  list<string>  $signs ids of what is seen
     * @param  array<string, array<string, string>>  $facts ids of what the records say, each with the words it is said with
     * @return array{keep: 'discard'|'discard-if-eaten'|'keep'|'use-soon', says: string, causes: list<array{id: string,
     *     name: string, likely: 'less likely'|'likely'|'possible', score: int,
     *     for: list<string>, against: list<string>, test: string, do: string, keep: string}>}
     *
     * @throws FaultException when nothing is seen, or something unknown
     */
    public function find(array $signs, array $facts): array
    {
        $known = array_column($this->signs(), null, 'id');
        foreach ($signs as $sign) {
            if (! isset($known[$sign])) {
                throw FaultException::unknown($sign);
            }
        }
        if ($signs === []) {
            throw FaultException::nothingSeen();
        }
        $words = $this->table()->row('facts');
        $found = [];
        foreach ($this->table()->rows('causes') as $order => $cause) {
            $weights = $cause->numbers('signs');
            $score = 0;
            foreach ($signs as $sign) {
                $score += (int) ($weights[$sign] ?? 0);
            }
            if ($score === 0) {
                continue;
            }
            $for = $against = [];
            foreach ($cause->rows('evidence') as $row) {
                $fact = $row->text('fact');
                if (! isset($facts[$fact])) {
                    continue;
                }
                $weight = (int) $row->number('weight');
                $score += $weight;
                $said = self::said($words->text($fact), $facts[$fact]);
                $weight > 0 ? ($for[] = $said) : ($against[] = $said);
            }
            $found[] = [
                'id' => $cause->text('id'),
                'name' => $cause->text('name'),
                'likely' => 'possible',
                'score' => $score,
                'for' => $for,
                'against' => $against,
                'test' => $cause->text('test'),
                'do' => $cause->text('do'),
                'keep' => $cause->oneOf('keep', self::KEEPS),
                'order' => (int) $order,
            ];
        }
        // Of equals, the order to check in.
        usort($found, fn (array $a, array $b) => [$b['score'], $a['order']] <=> [$a['score'], $b['order']]);
        $best = $found[0]['score'] ?? 0;
        $causes = array_map(function (array $cause) use ($best): array {
            unset($cause['order']);
            $cause['likely'] = match (true) {
                $cause['score'] >= $best - self::NEAR && $cause['score'] >= 5 => 'likely',
                $cause['score'] >= 3 => 'possible',
                default => 'less likely',
            };

            return $cause;
        }, $found);
        $discard = array_filter($signs, fn (string $sign) => $known[$sign]['discard']) !== [];

        return [
            'keep' => $discard ? 'discard' : $causes[0]['keep'] ?? 'use-soon',
            'says' => $discard
                ? 'Discard it. Do not taste it, and do not try to save it.'
                : match ($causes[0]['keep'] ?? '') {
                    'discard' => 'Most likely it is to be thrown away. Make the test first.',
                    'discard-if-eaten' => 'For the skin it may be saved; what is to be eaten is thrown away.',
                    'use-soon' => 'It may be used, soon.',
                    default => 'It may be kept. Make the test to be sure.',
                },
            'causes' => $causes,
        ];
    }

    /** @param  array<string, string>  $with */
    private static function said(string $words, array $with): string
    {
        $said = strtr($words, array_combine(array_map(fn (string $key) => '{'.$key.'}', array_keys($with)), $with));

        return mb_strtoupper(mb_substr($said, 0, 1)).mb_substr($said, 1);
    }

    private function table(): Row
    {
        return $this->tables->table('faults');
    }
}
