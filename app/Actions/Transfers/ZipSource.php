<?php

namespace App\Actions\Transfers;

use App\Actions\Houses\ImportException;
use ErrorException;
use ZipArchive;

/**
 * A house as a zip of JSON lines and pictures, read a line at a time. It is looked over before the first line is taken:
 * what is cut short, foreign or swollen beyond measure is refused then; what is damaged within, where it is come to.
 *
 * @phpstan-type Head array{house: array<string, mixed>, people: list<array{name: string, email: string, role: string}>,
 *     counts: array<string, int>}
 */
final class ZipSource implements HouseSource
{
    /** No line is longer, bytes: a batch with a logbook of years is a tenth of it; read, it takes ten times as much. */
    private const LINE = 2_000_000;

    private const PIECE = 65_536;

    /** No picture is larger, bytes. */
    private const PICTURE = 1_000_000;

    /** All of it unpacked, bytes. */
    private const UNPACKED = 20_000_000_000;

    private const FILES = 1_000_000;

    /** @var Head */
    private array $head;

    /** @var \Closure(): void|null */
    private ?\Closure $read = null;

    private function __construct(private readonly ZipArchive $zip, private readonly HouseSchema $schema) {}

    /** @throws ImportException */
    public static function open(string $path, HouseSchema $schema): self
    {
        $zip = new ZipArchive();
        if ($zip->open($path, ZipArchive::RDONLY | ZipArchive::CHECKCONS) !== true) {
            throw ImportException::brokenZip();
        }
        $source = new self($zip, $schema);
        $source->lookOver();
        $source->head = $source->readHead();

        return $source;
    }

    /** @param  \Closure(): void  $read called for each line that was taken */
    public function onRead(\Closure $read): void
    {
        $this->read = $read;
    }

    public function head(): array
    {
        return $this->head;
    }

    /** How many lines there are to be. */
    public function lines(): int
    {
        return array_sum($this->head['counts']);
    }

    /** How many batches there are to be worked out anew. */
    public function batches(): int
    {
        return $this->head['counts']['batches'] ?? 0;
    }

    public function rows(string $section): iterable
    {
        $file = $section.'.jsonl';
        $number = 0;
        foreach ($this->linesOf($file) as $line) {
            $number++;
            $where = "{$file}, line {$number}";
            $row = json_decode($line, false, 64);
            $row instanceof \stdClass || throw ImportException::notOurs($where, 'that is not a line of JSON');
            $this->schema->row($section, $row, $where);
            /** @var array<string, mixed> $fields */
            $fields = json_decode($line, true, 64);
            $this->read === null || ($this->read)();
            yield $section === 'photos' ? $this->withPicture($fields, $where) : $fields;
        }
        $due = $this->head['counts'][$section] ?? 0;
        if ($number !== $due) {
            throw ImportException::notOurs($file, sprintf('there are %d lines, and there should be %d', $number, $due));
        }
    }

    private function lookOver(): void
    {
        $size = 0;
        $count = $this->zip->count();
        for ($i = 0; $i < $count; $i++) {
            $entry = $this->zip->statIndex($i);
            $name = $entry['name'] ?? '';
            if ($count > self::FILES || preg_match('~^(house\.json|[a-z]{3,20}\.jsonl|photos/([0-9A-Za-z]{26}\.jpg)?)$~D', $name) !== 1) {
                throw ImportException::notOurs(mb_substr(mb_scrub($name), 0, 60), 'no house has such a file');
            }
            $size += $entry['size'] ?? 0;
        }
        if ($size > self::UNPACKED) {
            throw ImportException::notOurs('the zip', 'unpacked it would be larger than any house');
        }
    }

    /** @return Head */
    private function readHead(): array
    {
        $json = $this->all('house.json', self::LINE);
        $head = $json === null ? null : json_decode($json, false, 64);
        $head instanceof \stdClass || throw ImportException::brokenZip();
        $this->schema->head($head);
        /** @var Head $fields */
        $fields = json_decode($json ?? '', true, 64);

        return $fields;
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed> as the JSON document has it
     */
    private function withPicture(array $row, string $where): array
    {
        $file = is_string($row['file'] ?? null) ? $row['file'] : '';
        $jpeg = $this->all($file, self::PICTURE) ?? throw ImportException::notOurs($where, "there is no file “{$file}”");
        unset($row['file']);

        return [...$row, 'jpeg' => base64_encode($jpeg)];
    }

    private function all(string $file, int $most): ?string
    {
        $entry = $this->zip->statName($file);
        if ($entry === false) {
            return null;
        }
        if ($entry['size'] > $most) {
            throw ImportException::notOurs($file, 'it is too large');
        }
        try {
            $all = $this->zip->getFromName($file);
        } catch (ErrorException) {
            $all = false;
        }

        return $all === false ? throw ImportException::damaged($file) : $all;
    }

    /** @return \Generator<int, string> */
    private function linesOf(string $file): \Generator
    {
        if ($this->zip->locateName($file) === false) {
            return;
        }
        $stream = $this->zip->getStream($file) ?: throw ImportException::damaged($file);
        try {
            $line = '';
            // A piece at a time, for so much memory as the piece may have is taken whatever it has.
            while (($piece = fgets($stream, self::PIECE)) !== false) {
                $line .= $piece;
                if (str_ends_with($piece, "\n")) {
                    yield $line;
                    $line = '';
                } elseif (strlen($line) > self::LINE) {
                    throw ImportException::notOurs($file, 'a line is longer than any house has');
                }
            }
            $line === '' || throw ImportException::notOurs($file, 'a line has no end');
        } catch (ErrorException) {
            // What was packed does not come out as it went in.
            throw ImportException::damaged($file);
        } finally {
            fclose($stream);
        }
    }
}
