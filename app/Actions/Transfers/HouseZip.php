<?php

namespace App\Actions\Transfers;

use App\Actions\Houses\ExportHouse;
use App\Models\Batch;
use App\Models\Boil;
use App\Models\Lot;
use App\Models\Making;
use App\Models\Photo;
use App\Models\StoveSession;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use ZipArchive;

/**
 * The whole of a house as a zip of JSON lines and pictures, after docs/formats/house-zip.schema.json. A few rows are in
 * memory at a time; what was read is of one moment.
 */
final readonly class HouseZip
{
    public const FORMAT = 'warm-kettle-house-zip';

    private const JSON = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    public function __construct(private ExportHouse $export, private Filesystem $files) {}

    /** How many lines there will be, about: for a bar that fills. */
    public function lines(): int
    {
        return Batch::query()->count() +
            Making::query()->count() +
            Boil::query()->count() +
            Lot::withTrashed()->count() +
            StoveSession::query()->count() +
            2 * Photo::query()->count();
    }

    /**
     * @param  \Closure(): void  $written called for each line and picture
     *
     * @throws \RuntimeException where it cannot be written
     */
    public function write(string $path, \Closure $written): void
    {
        $loose = $path.'.loose';
        $this->files->deleteDirectory($loose);
        $this->files->ensureDirectoryExists($loose.'/photos', 0o700);
        try {
            $names = DB::transaction(fn () => $this->loosely($loose, $written));
            $this->pack($path.'.part', $loose, $names, $written);
            $this->files->move($path.'.part', $path);
        } finally {
            $this->files->deleteDirectory($loose);
            $this->files->delete($path.'.part');
        }
    }

    /**
     * @param  \Closure(): void  $written
     * @return list<string> the files that were written
     */
    private function loosely(string $folder, \Closure $written): array
    {
        $head = $this->export->head();
        $names = $counts = [];
        foreach ($this->export->rows(true) as $section => $rows) {
            $file = new \SplFileObject("{$folder}/{$section}.jsonl", 'wb');
            $counts[$section] = 0;
            foreach ($rows as $row) {
                self::put($file, json_encode($row, self::JSON)."\n");
                $counts[$section]++;
                $written();
            }
            $names[] = "{$section}.jsonl";
        }
        foreach ($this->export->pictures() as $name => $jpeg) {
            self::put(new \SplFileObject("{$folder}/{$name}", 'wb'), $jpeg);
            $names[] = $name;
            $written();
        }
        self::put(
            new \SplFileObject("{$folder}/house.json", 'wb'),
            json_encode(['format' => self::FORMAT, 'version' => 1, ...$head, 'counts' => $counts], self::JSON | JSON_PRETTY_PRINT)."\n",
        );

        return ['house.json', ...$names];
    }

    /**
     * @param  list<string>  $names
     * @param  \Closure(): void  $written
     */
    private function pack(string $path, string $folder, array $names, \Closure $written): void
    {
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE) === true || throw new \RuntimeException('No zip could be begun.');
        foreach ($names as $name) {
            $zip->addFile("{$folder}/{$name}", $name);
            // A JPEG gets no smaller.
            str_ends_with($name, '.jpg') && $zip->setCompressionName($name, ZipArchive::CM_STORE);
        }
        $zip->registerProgressCallback(0.05, fn () => $written());
        $zip->close() || throw new \RuntimeException('The zip could not be written.');
    }

    /** A disk that is full says so here, and not when the file is asked for. */
    private static function put(\SplFileObject $file, string $bytes): void
    {
        $file->fwrite($bytes) === strlen($bytes) || throw new \RuntimeException('No space left on device');
    }
}
