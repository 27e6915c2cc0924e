<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Infusion\Method;
use Kettle\Infusion\School;
use Kettle\Material\Blend;
use Kettle\Material\Herb;
use Kettle\Material\HerbForm;
use Kettle\Measure\Amount;
use Kettle\Measure\Ratio;
use Kettle\Vessel\Jar;

/** What a cook wants, read and checked; null where nothing was chosen. */
final readonly class Wish
{
    /**
     * @param  ?Amount  $herb g
     * @param  ?Amount  $oil mL
     * @param  list<string>  $chosen the words of the sentence the cook chose, by slot
     */
    public function __construct(
        public Herb $plant,
        public HerbForm $form,
        public Blend $blend,
        public ?Amount $herb,
        public ?Amount $oil,
        public ?Ratio $ratio,
        public ?Jar $jar,
        public Method $method,
        public School $school,
        public ?\DateTimeImmutable $start,
        public ?\DateTimeImmutable $readyBy,
        public string $purpose,
        public string $way,
        public array $chosen,
    ) {
    }
}
