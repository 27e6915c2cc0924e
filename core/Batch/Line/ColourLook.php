<?php

declare(strict_types=1);

namespace Kettle\Batch\Line;

use Kettle\Batch\Stored;
use Kettle\Warmth\Colour;

/** The colour of its oil. */
final readonly class ColourLook extends Look
{
    public const WHAT = 'colour';

    /**
     * @param  array{float, float, float}  $lab CIE L*a*b*
     * @param  array{int, int, int}  $rgb 0 to 255
     * @param  bool  $plain whether it is the oil before the herb
     * @param  string  $how swatch, photo, or photo and card
     * @param  ?string  $photo its id
     */
    public function __construct(
        public array $lab,
        public array $rgb,
        public bool $plain,
        public string $how,
        public ?string $photo = null,
    ) {}

    public static function of(Stored $data): self
    {
        $lab = [...$data->numbers('lab'), 0.0, 0.0, 0.0];
        $rgb = [...$data->numbers('rgb'), 0.0, 0.0, 0.0];

        return new self(
            [$lab[0], $lab[1], $lab[2]],
            [(int) $rgb[0], (int) $rgb[1], (int) $rgb[2]],
            $data->flag('plain'),
            $data->text('how', 'swatch'),
            $data->textOrNull('photo'),
        );
    }

    public function data(): array
    {
        return [
            'what' => self::WHAT,
            'lab' => $this->lab,
            'rgb' => $this->rgb,
            'plain' => $this->plain,
            'how' => $this->how,
            ...$this->photo === null ? [] : ['photo' => $this->photo],
        ];
    }

    public function withPhoto(string $id): self
    {
        return new self($this->lab, $this->rgb, $this->plain, $this->how, $id);
    }

    /** "#e5b23a" */
    public function hex(): string
    {
        return vsprintf('#%02x%02x%02x', $this->rgb);
    }

    public function colour(): Colour
    {
        return Colour::lab(...$this->lab);
    }
}
