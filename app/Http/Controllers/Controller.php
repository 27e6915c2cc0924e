<?php

namespace App\Http\Controllers;

use App\Http\AskedException;
use App\Models\User;
use App\OpenApi\Operation;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use ReflectionMethod;

abstract class Controller
{
    /**
     * What is asked in the address is what the operation says, or it is refused by its name.
     *
     * @param  array<array-key, mixed>  $parameters
     *
     * @throws AskedException
     */
    public function callAction(string $method, array $parameters): mixed
    {
        $operation = (new ReflectionMethod($this, $method))->getAttributes(Operation::class)[0] ?? null;
        if ($operation !== null) {
            $this->hold($operation->newInstance()->queries(), request()->query->all());
        }

        return $this->{$method}(...array_values($parameters));
    }

    /**
     * @param  array<string, string|list<string>>  $known
     * @param  array<array-key, mixed>  $asked
     */
    private function hold(array $known, array $asked): void
    {
        foreach ($asked as $name => $value) {
            $may = $known[$name] ?? throw AskedException::unknown((string) $name, array_keys($known));
            $value ??= '';
            if (! is_string($value)) {
                throw AskedException::unreadable((string) $name);
            }
            // An empty one is not asked.
            if ($value !== '' && is_array($may) && ! in_array($value, $may, true)) {
                throw AskedException::noneOf((string) $name, $value, $may);
            }
            if ($value !== '' && is_string($may) && $may !== '' && preg_match('/'.$may.'/D', $value) !== 1) {
                throw AskedException::unreadable((string) $name);
            }
        }
    }

    protected function nothing(): Response
    {
        return new Response(status: 204);
    }

    protected function user(Request $request): User
    {
        $user = $request->user();
        assert($user instanceof User);

        return $user;
    }

    /** A query parameter as text; empty where it is not asked. */
    protected function asked(Request $request, string $name): string
    {
        $value = $request->query($name);

        return is_string($value) ? $value : '';
    }

    /** A field as text; an empty one is none. */
    protected function text(mixed $value): ?string
    {
        return is_string($value) && trim($value) !== '' ? trim($value) : null;
    }
}
