<?php

declare(strict_types=1);

namespace Kettle\Batch;

use Kettle\Material\Cupboard;
use Kettle\Material\Herb;
use Kettle\Material\State;

/** One herb of a frozen plan. */
final readonly class PlannedHerb
{
    /**
     * @param  string  $id of the tables; empty for a plant that is not in them
     * @param  ?float  $water fraction of its weight when it went in; null where nobody wrote it down
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $latin,
        public string $part,
        public State $state,
        public string $form,
        public string $formName,
        public ?float $water,
    ) {}

    public static function of(Stored $herb): self
    {
        return new self(
            $herb->text('id'),
            $herb->text('name', 'herb'),
            $herb->text('latin'),
            $herb->text('part'),
            State::tryFrom($herb->text('state')) ?? State::Dried,
            $herb->text('form'),
            $herb->text('form_name'),
            $herb->numberOrNull('water'),
        );
    }

    /** As the tables have it, or as a plant they do not know. */
    public function plant(Cupboard $cupboard): Herb
    {
        return $cupboard->herbOrNull($this->id) ?? Herb::unlisted($this->name, $this->form);
    }

    /** As it went in, or as such herb usually is. */
    public function waterWhenWet(): float
    {
        return $this->water ?? $this->state->usualWater();
    }
}
