<?php

declare(strict_types=1);

namespace Kettle\Material;

/**
 * A plant and the part of it that is used. `$form` is the id of the form it usually comes in, `$best` the state
 * it is best used in, `$lookAlikes` what is gathered for it by mistake and harms.
 */
final readonly class Herb
{
    /** Of a house's own: whether somebody has said what it may do. */
    public const ASKED = 'asked';

    public const UNASKED = 'unasked';

    /** No oil of it is made here. */
    public const DEADLY = 'deadly';

    /** It has slime, which holds water and stops up a cloth. */
    public const MUCILAGE = 'mucilage';

    /**
     * @param  list<string>  $traits what cautions ask of it, such as "daisy-family"
     * @param  list<string>  $also other names it goes by
     * @param  ?float  $waterFresh water fraction when fresh; null for that of its form
     * @param  string  $own ASKED or UNASKED where a house entered it as its own, else empty
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $latin,
        public string $part,
        public string $form,
        public bool $kitchen,
        public State $best,
        public string $note,
        public array $traits,
        public array $also = [],
        public string $lookAlikes = '',
        public ?float $waterFresh = null,
        public string $own = '',
    ) {}

    public static function fromRow(Row $row): self
    {
        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->text('latin'),
            $row->text('part'),
            $row->text('form'),
            $row->flag('kitchen'),
            State::from($row->text('best')),
            $row->text('note'),
            $row->texts('traits'),
            $row->texts('also'),
            $row->text('look_alikes'),
        );
    }

    /** @return string|array{herb: string} its name as a sentence keeps it: by its id, or as somebody gave it */
    public function said(): string|array
    {
        return $this->id === '' ? $this->name : ['herb' => $this->id];
    }

    /** Whether its oil, while its water is in it, keeps for days to weeks and only in the cold. */
    public function isWatery(): bool
    {
        return $this->id === '' || $this->has('watery') || $this->has('low-acid');
    }

    public function has(string $trait): bool
    {
        return in_array($trait, $this->traits, true);
    }

    /** A plant the tables do not know, as the cook names it. */
    public static function unlisted(string $name, string $form): self
    {
        return new self('', $name, '', '', $form, false, State::Dried, '', []);
    }
}
