<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;

/** Something seen to be wrong with it. */
final readonly class FaultNoted extends Line
{
    public const KIND = 'fault';

    /**
     * @param  list<string>  $signs ids
     * @param  string  $seen the same in words
     * @param  string  $cause,$name what it most likely is; empty where nothing fits
     */
    public function __construct(public array $signs, public string $seen, public string $cause, public string $name, public string $keep) {}

    public static function of(Stored $data): self
    {
        return new self($data->texts('signs'), $data->text('seen'), $data->text('cause'), $data->text('name'), $data->text('keep'));
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function data(): array
    {
        return ['signs' => $this->signs, 'seen' => $this->seen, 'cause' => $this->cause, 'name' => $this->name, 'keep' => $this->keep];
    }
}
