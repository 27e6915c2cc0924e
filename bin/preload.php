<?php

/**
 * Writes the script by which the server has in its memory, before the first request, every class that requests load, so
 * that none is looked for again:
 *
 *   php bin/preload.php FILE    opcache.preload=FILE
 */
$root = dirname(__DIR__);
require $root.'/vendor/autoload.php';
$app = require $root.'/bootstrap/app.php';
$kernel = $app->make(Illuminate\Contracts\Http\Kernel::class);
foreach (['/api/me', '/', '/api/houses/none/today', '/api/example'] as $path) {
    $kernel->handle(Illuminate\Http\Request::create($path, server: ['HTTP_ACCEPT' => 'application/json']));
}
foreach (array_keys(require $root.'/vendor/composer/autoload_classmap.php') as $class) {
    // Ours are all used sooner or later; what writes the API document is there only where it is worked on.
    preg_match('/^(App|Kettle)\\\\(?!Console\\\\ApiDocument)/', $class) === 1 && class_exists($class);
}
// What says more in its file than its classes, constants above all, is not there without being run: the PDF library,
// and our sheet of it.
$run = '~/composer/|/autoload.php$|/vendor/tecnickcom/|/app/Labels/Sheet.php$~';
$files = array_filter(
    get_included_files(),
    fn (string $file) => preg_match("~^{$root}/(app|core|vendor)/~", $file) === 1 && ! preg_match($run, $file),
);
file_put_contents(
    $argv[1],
    '<?php foreach ('.var_export(array_values($files), true).' as $file) { is_file($file) && opcache_compile_file($file); }',
);
