<?php

use App\Http\Requests\Form;

/** @return list<class-string<Form>> */
function everyForm(): array
{
    $files = glob(dirname(__DIR__, 2).'/app/Http/Requests/*.php') ?: [];
    $classes = array_map(fn (string $file) => 'App\\Http\\Requests\\'.basename($file, '.php'), $files);

    return array_values(array_filter($classes, fn (string $class) => is_subclass_of($class, Form::class)));
}

it('says of every field of every form what it is, in words', function () {
    $named = array_keys((array) trans('validation.attributes'));
    $bare = [];
    foreach (everyForm() as $class) {
        $form = new $class();
        $form->setContainer(app());
        $form->setRouteResolver(fn () => null);
        $mine = array_keys($form->attributes());
        foreach (array_keys($form->rules()) as $field) {
            in_array($field, [...$named, ...$mine], true) || ($bare[] = class_basename($class).' '.$field);
        }
    }
    expect(everyForm())->not->toBeEmpty()->and($bare)->toBe([]);
});

it('names a field by what it is in its own form', function (string $path, array $says) {
    $faults = $this->atHouse('POST', "/{$path}", [])
        ->assertStatus(422)
        ->json('faults');
    expect(array_column($faults, 'sentence'))->toBe($says);
})->with([
    ['absences', ['Fill in when it begins.', 'Fill in when it ends.']],
    ['melt/mend', ['Fill in what it weighs.', 'Fill in the share of wax there is.', 'Fill in the share of wax that is wanted.']],
    ['cookers', ['Fill in a name.', 'Fill in its shape.', 'Fill in the inner length.', 'Fill in the inner height.', 'Fill in a method.']],
]);
