<?php

/*
 * What the application's own account may do in its database, and what it may not: written out by hand, and tried.
 */

require_once __DIR__.'/../Kettles.php';

beforeAll(fn () => demoed());

it('lets the application read and write rows', function () {
    $app = asApplication();
    $app->beginTransaction();
    expect($app->query('SELECT COUNT(*) FROM batches')->fetchColumn())
        ->toBeGreaterThan(0)
        ->and($app->exec("UPDATE houses SET name = 'Another' LIMIT 1"))
        ->toBe(1)
        ->and($app->exec("INSERT INTO sessions (id, payload, last_activity) VALUES ('x', '', 0)"))
        ->toBe(1)
        ->and($app->exec("DELETE FROM sessions WHERE id = 'x'"))
        ->toBe(1);
    $app->rollBack();
});

it('lets it do nothing else', function (string $sql) {
    expect(fn () => asApplication()->exec($sql))->toThrow(PDOException::class, 'denied');
})->with([
    'drop the trigger of a logbook' => ['DROP TRIGGER log_entries_stay'],
    'make one of its own' => ['CREATE TRIGGER mine BEFORE INSERT ON lots FOR EACH ROW SET @a = 1'],
    'drop a table' => ['DROP TABLE log_entries'],
    'empty a table, past its triggers' => ['TRUNCATE TABLE log_entries'],
    'change a table' => ['ALTER TABLE log_entries ADD COLUMN x INT'],
    'take its name' => ['RENAME TABLE log_entries TO other'],
    'make a table' => ['CREATE TABLE mine (id INT)'],
    'make an index' => ['CREATE INDEX mine ON lots (id)'],
    'see through a view' => ['CREATE VIEW mine AS SELECT 1'],
    'make a routine' => ['CREATE PROCEDURE mine() SELECT 1'],
    'make a database' => ['CREATE DATABASE mine'],
    'read who may do what' => ['SELECT * FROM mysql.global_priv'],
    'read a file of the machine' => ["LOAD DATA INFILE '/etc/hostname' INTO TABLE sessions"],
    'write a file of the machine' => ["SELECT 1 INTO OUTFILE '/tmp/kettle-out'"],
    'give itself more' => ["GRANT ALL ON *.* TO 'kettle'@'127.0.0.1'"],
    'make somebody' => ["CREATE USER somebody IDENTIFIED BY 'x'"],
    'stop the server' => ['SHUTDOWN'],
    'change its settings' => ["SET GLOBAL general_log = 'ON'"],
]);

it('keeps each logbook as it was written, from the application as well', function (string $table) {
    $app = asApplication();
    // Nobody has signed in there yet by a password: one is written down by the administrator.
    database()->exec(
        "INSERT INTO security_events (user_id, kind, `from`, happened_at) SELECT id, 'signed-in', '', NOW() FROM users LIMIT 1",
    );
    expect((int) $app->query("SELECT COUNT(*) FROM {$table}")->fetchColumn())->toBeGreaterThan(0);
    // Nothing of it goes but with its house.
    foreach (["UPDATE {$table} SET house_id = house_id LIMIT 1", "DELETE FROM {$table} LIMIT 1"] as $sql) {
        expect(fn () => $app->exec($sql))->toThrow(PDOException::class, 'append-only');
    }
})->with(['log_entries', 'making_entries', 'boil_entries', 'lot_moves', 'lot_checks', 'recipe_versions', 'security_events']);
