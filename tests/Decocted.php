<?php

/** A decoction of marshmallow root, strained into 400 mL; its pot's id. */
function decocted(array $more = []): string
{
    $asked = ['what' => 'decoction', 'herbs' => ['marshmallow-root'], 'want' => '400 mL', ...$more];
    $id = test()->atHouse('POST', '/boils', $asked)->assertOk()->json('id');
    test()
        ->atHouse('POST', "/boils/{$id}/flame", ['on' => true])
        ->assertOk();
    test()
        ->atHouse('POST', "/boils/{$id}/strain", ['amount' => '400 mL', 'where' => 'the refrigerator'])
        ->assertOk();

    return $id;
}
