<?php

namespace Tests;

/** A PDF as poppler draws it and zbar reads it; each only when it is asked for, for a sheet takes seconds to draw. */
final class PrintedPage implements \ArrayAccess
{
    private readonly string $dir;

    /** @var array<string, mixed> */
    private array $seen = [];

    public function __construct(string $pdf)
    {
        $this->dir = sys_get_temp_dir().'/kettle-label-'.bin2hex(random_bytes(6));
        mkdir($this->dir);
        file_put_contents("{$this->dir}/label.pdf", $pdf);
    }

    public function __destruct()
    {
        array_map(unlink(...), glob("{$this->dir}/*") ?: []);
        rmdir($this->dir);
    }

    /**
     * @param  'mm'|'pages'|'text'|'pgm'|'codes'  $offset size of the page; how many there are; all that is written; the
     *     first page, grey at 300 dots an inch; what the 2D codes of the first page say
     */
    public function offsetGet(mixed $offset): mixed
    {
        return $this->seen[$offset] ??= match ($offset) {
            'mm' => array_map(fn (string $pt) => ((float) $pt / 72) * 25.4, $this->info('/Page size:\s+([\d.]+) x ([\d.]+) pts/')),
            'pages' => (int) $this->info('/Pages:\s+(\d+)/')[0],
            'text' => $this->shell('pdftotext -raw label.pdf -'),
            'pgm' => $this->shell('pdftoppm -r 300 -gray -f 1 -l 1 -singlefile label.pdf label && cat label.pgm'),
            'codes' => $this->codes(),
        };
    }

    public function offsetExists(mixed $offset): bool
    {
        return in_array($offset, ['mm', 'pages', 'text', 'pgm', 'codes'], true);
    }

    public function offsetSet(mixed $offset, mixed $value): void
    {
        throw new \LogicException('What is printed stays as it is.');
    }

    public function offsetUnset(mixed $offset): void
    {
        throw new \LogicException('What is printed stays as it is.');
    }

    /** @return list<string> */
    private function codes(): array
    {
        $said = $this->shell(
            'pdftoppm -r 450 -gray -f 1 -l 1 -singlefile label.pdf code && zbarimg -q --raw -Sdisable -Sqrcode.enable code.pgm 2>/dev/null',
        );

        return array_values(array_filter(explode("\n", $said)));
    }

    /** @return list<string> */
    private function info(string $of): array
    {
        preg_match($of, $this->seen['info'] ??= $this->shell('pdfinfo label.pdf'), $found);

        return array_slice($found, 1);
    }

    private function shell(string $does): string
    {
        return (string) shell_exec("cd {$this->dir} && {$does}");
    }
}
