<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Caution\ColdStorage;

/** How this jar is strained: step by step, for its herb, its oil and the way it is got out. Common practice, no source. */
final readonly class Straining
{
    /** What becomes of the spent herb. */
    public const SPENT = [
        'compost' => 'to the compost',
        'scrub' => 'into a scrub',
        'mask' => 'into a mask',
        'marinade' => 'into a marinade',
        'soup' => 'into the soup',
        'thrown' => 'thrown away',
    ];

    /** By what it is seen that it is done; of what is wet, the last as well. */
    public const SIGNS = ['time', 'colour', 'scent', 'faded', 'bubbles'];

    /** What the oil went through. */
    public const FILTERS = ['cloth' => 'cloth over a sieve', 'paper' => 'paper', 'bag' => 'a jelly bag', 'press' => 'a press'];

    public function __construct(
        private bool $powder,
        private bool $wet,
        private bool $heated,
        private bool $hardFat,
        private bool $staining,
        private string $storage = ColdStorage::SHELF,
        private bool $kitchen = false,
        private bool $settles = true,
        private bool $twice = false,
    ) {}

    /** How it is best got out. */
    public function way(string $planned): string
    {
        return $this->wet ? 'drained' : $planned;
    }

    /** What it goes through first. */
    public function filter(string $way): string
    {
        return match (true) {
            $this->powder => 'paper',
            $way === 'pressed' => 'press',
            default => 'cloth',
        };
    }

    /**
     * Signs that it is done, for its method; each to be seen or smelled.
     *
     * @return list<array{id: string, says: string}>
     */
    public function signs(): array
    {
        return [
            ['id' => 'time', 'says' => $this->heated ? 'the planned hours at warmth are had' : 'the planned weeks are gone'],
            ['id' => 'colour', 'says' => 'the oil has taken the herb’s colour, beside the plain oil'],
            ['id' => 'scent', 'says' => 'the oil smells of the herb'],
            ['id' => 'faded', 'says' => 'the herb is faded'],
            ...$this->wet ? [['id' => 'bubbles', 'says' => 'no more bubbles rise: its water is gone']] : [],
        ];
    }

    /**
     * @param  string  $way drained, squeezed or pressed
     * @return list<array{id: string, says: string, why: string}>
     */
    public function steps(string $way): array
    {
        $steps = [
            [
                'id' => 'dry',
                'says' => 'Have sieve, cloth, funnel and jug clean and bone-dry. Stand the jug on the scale and note what it weighs.',
                'why' => 'A few drops of water cloud the whole of it; and what the jug weighs is taken off later.',
            ],
        ];
        if ($this->heated) {
            $steps[] =
                $this->storage === ColdStorage::FRIDGE
                    ? [
                        'id' => 'wipe',
                        'says' => 'Stand it in cold water until it can be held, half an hour at the most; wipe it dry.',
                        'why' => 'Its hours out of the refrigerator are counted, and water on the outside runs into the oil.',
                    ]
                    : [
                        'id' => 'wipe',
                        'says' => 'Take the jar out, wipe it dry from lid to foot, and let it cool until it can be held.',
                        'why' => 'Water on the outside runs into the oil as it is poured, and hot oil burns.',
                    ];
        }
        if ($this->hardFat) {
            $steps[] = [
                'id' => 'warm',
                'says' => 'Work while it is warm and quite liquid; warm sieve and jug as well.',
                'why' => 'A hard fat sets in the cloth and stays there.',
            ];
        }
        if ($this->staining) {
            $steps[] = ['id' => 'gloves', 'says' => 'Gloves and old clothes.', 'why' => 'Its colour, or its heat, stays on the hands.'];
        }
        $steps[] = match ($this->filter($way)) {
            'paper' => [
                'id' => 'filter',
                'says' => 'Through paper, slowly; change it when it clogs. Twice, if it still looks dusty.',
                'why' => 'Powder goes through any cloth.',
            ],
            'press' => [
                'id' => 'filter',
                'says' => 'Line the press with cloth, tip the herb in, and let it drip before you turn.',
                'why' => 'What runs by itself is the clearest.',
            ],
            default => [
                'id' => 'filter',
                'says' => 'Tip it into cloth over a sieve, and let it run.',
                'why' => 'A sieve alone lets small pieces through, and they go on to spoil.',
            ],
        };
        $steps[] = match (true) {
            $this->storage === ColdStorage::FRIDGE => [
                'id' => 'way',
                'says' => 'Do not wait for the last of it: what still drips drains in the refrigerator, under a clean cloth, unsqueezed.',
                'why' => sprintf('From the hour the oil goes on it has %d hours out of the refrigerator in all.', ColdStorage::MOST_WARM_H),
            ],
            $this->wet && $way !== 'drained' => [
                'id' => 'way',
                'says' => 'Better not: let it drain for some hours under a clean cloth, unsqueezed.',
                'why' => 'Squeezing wet herb drives its water into the oil.',
            ],
            $way === 'drained' => [
                'id' => 'way',
                'says' => 'Leave it to drain for some hours under a clean cloth. Do not squeeze it.',
                'why' => $this->wet
                    ? 'Squeezing wet herb drives its water into the oil.'
                    : 'Drained oil is clearer; more of it stays in the herb.',
            ],
            $this->powder => ['id' => 'way', 'says' => 'Press the bag gently.', 'why' => 'Under force it bursts, and all was for nothing.'],
            $way === 'pressed' => [
                'id' => 'way',
                'says' => 'Press slowly, in turns, until no more comes.',
                'why' => 'The strongest oil is in the herb.',
            ],
            default => [
                'id' => 'way',
                'says' => 'Gather the cloth and wring it, in small handfuls, until no more comes.',
                'why' => 'The strongest oil is in the herb.',
            ],
        };
        if ($this->twice) {
            $steps[] = [
                'id' => 'again',
                'says' => $this->settles
                    ? 'When it has dripped out, strain it a second time, through paper or a finer cloth, slowly.'
                    : 'While it is warm still, strain it a second time, through a finer cloth.',
                'why' => 'What the first cloth let through goes on to spoil. So it was planned.',
            ];
        }
        $steps[] = [
            'id' => 'weigh',
            'says' => 'Weigh jug and oil together, and the spent herb.',
            'why' => 'What stayed in the herb is what the next plan learns from.',
        ];
        $steps[] = ! $this->settles
            ? [
                'id' => 'settle',
                'says' => 'Do not let it stand: while it runs, through a finer cloth or paper, and straight into warm, dry, '.
                    'wide-mouthed jars. Lids off until it has set.',
                'why' => 'It sets before its mud can fall, and drops form under a lid that is on too soon.',
            ]
            : [
                'id' => 'settle',
                'says' => $this->storage === ColdStorage::FRIDGE
                        ? 'Into the refrigerator with it now, covered, and let it stand there a night.'
                        : 'Cover it with a cloth, and let it stand 24 h.',
                'why' => 'Mud and water go to the bottom by themselves.',
            ];
        $steps[] = [
            'id' => 'spent',
            'says' => $this->kitchen
                ? 'The spent herb goes into a marinade or the soup today, or to the compost.'
                : 'The spent herb makes a scrub or a mask today, or goes to the compost.',
            'why' => 'Oily herb heaped up keeps badly, and with a drying oil it can heat by itself.',
        ];

        return $steps;
    }
}
