<?php

declare(strict_types=1);

namespace Kettle\Caution;

use Kettle\Material\Row;
use Kettle\Reason\Said;

/** A rule that stops, warns or notes: when it holds, where it is shown, why, and where it comes from. */
final readonly class Caution
{
    public const RANKS = ['stop', 'care', 'note'];

    public const PLACES = ['bench', 'stove', 'press', 'melt', 'label'];

    /**
     * @param  'stop'|'care'|'note'  $rank
     * @param  list<string>  $places where the decision is made, of PLACES
     * @param  list<string>  $all facts that must all hold
     * @param  list<string>  $none facts of which none may hold
     * @param  string  $says with {placeholders} for what it is about
     * @param  bool  $acknowledge whether somebody must say they have read it before going on
     * @param  string  $label as short as a label wants it; empty where it has no place there
     * @param  string  $about what of a plan it is about: herb, oil, jar, warmth, days, keeping or use
     * @param  ?string  $stopsAt plan or start: what is refused while it holds
     */
    private function __construct(
        public string $id,
        public string $rank,
        public array $places,
        private array $all,
        private array $none,
        public string $says,
        public string $why,
        public string $source,
        public bool $acknowledge,
        public string $label,
        public bool $labelMust,
        public ?string $stopsAt,
        public string $field,
        public string $reason,
        public string $about,
    ) {}

    public static function fromRow(Row $row): self
    {
        $when = $row->row('when');
        $stops = $row->rowOrNull('stops');

        return new self(
            $row->text('id'),
            $row->oneOf('rank', self::RANKS),
            $row->texts('places'),
            $when->texts('all'),
            $when->texts('none'),
            $row->text('says'),
            $row->text('why'),
            $row->text('source'),
            $row->flag('acknowledge'),
            $row->text('label'),
            $row->flag('label_must'),
            $stops?->text('at'),
            $stops?->text('field') ?? '',
            $stops?->text('reason') ?? '',
            $row->text('about'),
        );
    }

    public function holds(Facts $facts): bool
    {
        foreach ($this->all as $tag) {
            if (! $facts->has($tag)) {
                return false;
            }
        }
        foreach ($this->none as $tag) {
            if ($facts->has($tag)) {
                return false;
            }
        }

        return true;
    }

    /** @return list<string> every fact the rule asks for */
    public function asks(): array
    {
        return [...$this->all, ...$this->none];
    }

    /** Its words about these facts; a word in braces with a capital begins with one. */
    public function says(Facts $facts): Said
    {
        return $this->said('says', $this->says, $facts);
    }

    /** As short as a label wants it; null where it says nothing there. */
    public function label(Facts $facts): ?Said
    {
        return $this->label === '' ? null : $this->said('label', $this->label, $facts);
    }

    private function said(string $which, string $words, Facts $facts): Said
    {
        preg_match_all('/\{(\w+)\}/', $words, $found);
        $with = [];
        foreach (array_unique(array_map(lcfirst(...), $found[1])) as $name) {
            $with[$name] = $facts->word($name, $this);
        }

        return Said::of("caution:{$this->id}.{$which}", $with);
    }

    /** The trait of a plant it is about, if it is about one. */
    public function trait(): ?string
    {
        foreach ($this->all as $tag) {
            if (preg_match('/^(?:wet-)?trait:(.+)$/', $tag, $m) === 1) {
                return $m[1];
            }
        }

        return null;
    }

    /** Whether it is about a plant only while its water is in it. */
    public function isOfWetHerb(): bool
    {
        return array_filter($this->all, fn (string $tag) => str_starts_with($tag, 'wet-trait:')) !== [];
    }
}
