<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;
use Kettle\Reason\Said;

/** Something seen to be wrong with it. */
final readonly class FaultNoted extends Line
{
    public const KIND = 'fault';

    /**
     * @param  list<string>  $signs ids
     * @param  ?Said  $seen the same in words
     * @param  string  $cause what it most likely is; empty where nothing fits
     * @param  ?Said  $name the same in words
     */
    public function __construct(public array $signs, public ?Said $seen, public string $cause, public ?Said $name, public string $keep) {}

    public static function of(Stored $data): self
    {
        return new self($data->texts('signs'), $data->said('seen'), $data->text('cause'), $data->said('name'), $data->text('keep'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return [
            'signs' => $this->signs,
            'seen' => $this->seen?->toArray(),
            'cause' => $this->cause,
            'name' => $this->name?->toArray(),
            'keep' => $this->keep,
        ];
    }
}
