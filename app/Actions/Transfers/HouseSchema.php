<?php

namespace App\Actions\Transfers;

use App\Actions\Houses\ImportException;
use App\Actions\Melt\MakingDocument;
use App\House\KitchenFactory;
use Kettle\Recipe\Planning;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;

/** Holds what comes in to docs/formats/house.schema.json and house-zip.schema.json, as they are published. */
final class HouseSchema
{
    private const HOUSE = 'https://warm-kettle.example/house.schema.json';

    private const ZIP = 'https://warm-kettle.example/house-zip.schema.json';

    private ?Validator $validator = null;

    public function __construct(
        private readonly KitchenFactory $kitchens,
        private readonly Planning $planning,
        private readonly MakingDocument $documents,
    ) {}

    /** @throws ImportException */
    public function document(\stdClass $document): void
    {
        $this->hold($document, self::HOUSE, '');
    }

    /**
     * The head of a zip.
     *
     * @throws ImportException
     */
    public function head(\stdClass $head): void
    {
        $this->hold($head, self::ZIP.'#/properties/house.json', 'house.json');
    }

    /**
     * One row of a section of a zip.
     *
     * @param  string  $where to say of it where it stands
     *
     * @throws ImportException
     */
    public function row(string $section, \stdClass $row, string $where): void
    {
        $this->hold($row, self::ZIP."#/properties/{$section}.jsonl", $where);
        $this->told($section, $row, $where);
    }

    /**
     * A plan that is kept as data must tell as a plan does.
     *
     * @throws ImportException
     */
    public function told(string $section, \stdClass $row, string $where): void
    {
        if (! in_array($section, ['batches', 'makings'], true) || ! (($row->kept ?? null) instanceof \stdClass)) {
            return;
        }
        /** @var array{plan: array<string, mixed>} $kept */
        $kept = json_decode(json_encode($row->kept, JSON_THROW_ON_ERROR), true, 64);
        /** @var \stdClass $plan */
        $plan = json_decode(
            json_encode(
                $section === 'batches'
                    ? $this->planning->told($kept['plan'], $this->kitchens->plain())
                    : $this->documents->told($kept['plan']),
                JSON_THROW_ON_ERROR,
            ),
        );
        $this->hold($plan, self::HOUSE."#/properties/{$section}/items/properties/plan", "{$where} / kept / plan");
    }

    private function hold(\stdClass $value, string $uri, string $where): void
    {
        $error = $this->validator()->uriValidation($value, $uri);
        if ($error === null) {
            return;
        }
        // The deepest cause says most.
        while (($cause = $error->subErrors()[0] ?? null) instanceof ValidationError) {
            $error = $cause;
        }
        /** @var list<int|string> $path */
        $path = array_filter([$where, ...$error->data()->fullPath()], fn (int|string $each) => $each !== '');
        throw ImportException::notOurs(
            $path === [] ? 'the beginning' : mb_substr(implode(' / ', $path), 0, 120),
            lcfirst(mb_substr((new ErrorFormatter())->formatErrorMessage($error), 0, 200)),
        );
    }

    private function validator(): Validator
    {
        if ($this->validator === null) {
            $this->validator = new Validator();
            foreach ([self::HOUSE => 'house', self::ZIP => 'house-zip'] as $uri => $name) {
                $this->validator->resolver()?->registerFile($uri, base_path("docs/formats/{$name}.schema.json"));
            }
        }

        return $this->validator;
    }
}
