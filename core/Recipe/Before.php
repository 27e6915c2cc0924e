<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Diary\DiaryException;
use Kettle\Infusion\Methods;
use Kettle\Material\MaterialException;
use Kettle\Reason\Faults;
use Kettle\Time\Dates;
use Kettle\Time\Day;

/**
 * An oil that was made before, or bought infused: it is strained already, and stands in its bottles. What nobody remembers
 * stays unknown: the way it was made is taken for a warm one, which ages it the most, and its herb and oil for the usual.
 */
final readonly class Before
{
    /** What a wish says of it. */
    public const FIELDS = ['made', 'from', 'best_before'];

    /** No way takes longer than this to be strained. */
    private const LONGEST_DAYS = 70;

    /** Older than this no oil is worth entering. */
    private const YEARS = 5;

    /** @param  string  $from whom it was bought or got from; empty where it was made here */
    public function __construct(
        public ?\DateTimeImmutable $made,
        public string $from,
        public ?\DateTimeImmutable $bestBefore,
        public bool $wayKnown,
    ) {}

    /**
     * @param  array<mixed>  $wish
     * @return array{array<mixed>, Kitchen, ?self} the wish and the kitchen to reckon it in: as they are, where it is to be made
     *
     * @throws WishException
     */
    public static function of(array $wish, Kitchen $kitchen, Methods $methods): array
    {
        $said = $wish['before'] ?? null;
        if ($said === null) {
            return [$wish, $kitchen, null];
        }
        $before = self::read(is_array($said) ? $said : [], $wish, $kitchen);
        // A warm way takes the most of its life; which it was, nobody says.
        $method = $before->wayKnown ? Fields::text($wish, 'method') : $methods->plainest(true)->id;
        $strained = $before->strainedOn($kitchen);

        return [
            [
                'before' => null,
                'ready_by' => $strained->modify('+1 day')->format('Y-m-d'),
                'method' => $method,
                'finished' => ['sure' => 'evens'] + (array) $wish['finished'],
            ] + $wish,
            $kitchen->asOf($strained->modify(sprintf('-%d days', self::LONGEST_DAYS))),
            $before,
        ];
    }

    /** The day it was strained; today, where nobody knows, so that only what is written on it tells its age. */
    public function strainedOn(Kitchen $kitchen): \DateTimeImmutable
    {
        return $this->made ?? $kitchen->today();
    }

    /** @return array<string, mixed> as a plan's record keeps it */
    public function toArray(): array
    {
        return [
            'made' => $this->made?->format('Y-m-d'),
            'from' => $this->from,
            'best_before' => $this->bestBefore?->format('Y-m-d'),
            'way_known' => $this->wayKnown,
        ];
    }

    /**
     * @param  array<mixed>  $said
     * @param  array<mixed>  $wish
     *
     * @throws WishException with every fault found
     */
    private static function read(array $said, array $wish, Kitchen $kitchen): self
    {
        $faults = new Faults();
        foreach (['start', 'ready_by', 'begun'] as $other) {
            if (Fields::text($wish, $other) !== null) {
                $faults->add(DiaryException::madeAndToMake()->about($other));
            }
        }
        foreach (HerbsReader::list($wish) as $i => $herb) {
            if (! is_array($herb) || Fields::text($herb, 'state') === null) {
                $faults->add(MaterialException::driedOrFresh()->about("herbs.{$i}.state"));
            }
        }
        $finished = is_array($wish['finished'] ?? null) ? $wish['finished'] : [];
        if (Fields::text($finished, 'amount') === null && Fields::text($finished, 'size') === null) {
            $faults->add(DiaryException::howMuchIsThere()->about('finished.size'));
        }
        $made = $faults->trying('before.made', fn () => self::day($said, 'made', $kitchen));
        $best = $faults->trying('before.best_before', fn () => self::day($said, 'best_before', $kitchen));
        if (Fields::text($said, 'made') === null && Fields::text($said, 'best_before') === null) {
            $faults->add(DiaryException::neitherDay()->about('before.made'));
        }
        if ($made !== null && $best !== null && $best < $made) {
            $faults->add(DiaryException::bestBeforeMade()->about('before.best_before'));
        }
        if ($made !== null && $made > $kitchen->today()) {
            $faults->add(DiaryException::madeToCome(Dates::say($made, 'day'))->about('before.made'));
        }
        if ($faults->all() !== []) {
            throw WishException::faults($faults->all());
        }

        return new self($made, Fields::text($said, 'from') ?? '', $best, Fields::text($wish, 'method') !== null);
    }

    /**
     * @param  array<mixed>  $said
     *
     * @throws DiaryException
     */
    private static function day(array $said, string $key, Kitchen $kitchen): ?\DateTimeImmutable
    {
        $typed = Fields::text($said, $key);
        if ($typed === null) {
            return null;
        }
        $today = $kitchen->today();
        $day = Day::read($typed, $today->getTimezone()) ?? throw DiaryException::day($typed);
        $years = (int) abs((int) $day->format('Y') - (int) $today->format('Y'));

        return $years > self::YEARS ? throw DiaryException::farFromNow(Dates::say($day, 'day'), self::YEARS) : $day;
    }
}
