<?php

namespace Symfony\Component\Clock;

interface ClockInterface extends \Psr\Clock\ClockInterface
{
    public function sleep(float|int $seconds): void;

    public function withTimeZone(\DateTimeZone|string $timezone): static;
}
