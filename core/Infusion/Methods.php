<?php

declare(strict_types=1);

namespace Kettle\Infusion;

use Kettle\Material\Tables;

/** The methods the tables know. */
final class Methods
{
    /** @var array<string, Method>|null */
    private ?array $all = null;

    private function __construct(private readonly Tables $tables) {}

    public static function of(Tables $tables): self
    {
        return $tables->made(self::class, fn () => new self($tables));
    }

    /** @return array<string, Method> */
    public function all(): array
    {
        if ($this->all === null) {
            $this->all = [];
            foreach ($this->tables->table('methods')->rows('rows') as $row) {
                $this->all[$row->text('id')] = Method::fromRow($row);
            }
        }

        return $this->all;
    }

    /** The first of the table that is heated, or is not: what is taken where nobody said which. */
    public function plainest(bool $heated): Method
    {
        foreach ($this->all() as $method) {
            if ($method->heated === $heated) {
                return $method;
            }
        }
        throw new \LogicException('There is a method of each.');
    }

    /** @throws MethodException */
    public function method(string $id): Method
    {
        return $this->all()[$id] ?? throw MethodException::unknown($id);
    }
}
