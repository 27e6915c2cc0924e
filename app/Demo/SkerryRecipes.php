<?php

namespace App\Demo;

use App\Actions\Recipes\SaveRecipe;
use App\Models\House;

/** The recipes of Skerry House, one of them changed since. */
final readonly class SkerryRecipes
{
    public function __construct(private DemoClock $clock, private SaveRecipe $recipe) {}

    public function lay(): void
    {
        $this->clock->at(45, 20);
        $salve = $this->recipe->add('Harbour hands', 'The one everybody asks for at the fair.', [
            'herbs' => [['id' => 'calendula', 'parts' => '2'], ['id' => 'self-heal', 'parts' => '1']],
            'oils' => [['id' => 'sunflower-high-oleic', 'parts' => '3'], ['id' => 'jojoba', 'parts' => '1']],
            'purpose' => 'salve',
            'method' => 'slow-cooker',
            'finished' => ['count' => '6', 'size' => '50 mL'],
        ]);
        $this->clock->at(16, 20);
        $this->recipe->edit(
            $salve,
            'Harbour hands',
            'Less jojoba: it is dear, and nobody could tell.',
            [
                'herbs' => [['id' => 'calendula', 'parts' => '2'], ['id' => 'self-heal', 'parts' => '1']],
                'oils' => [['id' => 'sunflower-high-oleic', 'parts' => '5'], ['id' => 'jojoba', 'parts' => '1']],
                'purpose' => 'salve',
                'method' => 'slow-cooker',
                'finished' => ['count' => '6', 'size' => '50 mL'],
            ],
            1,
        );
        $this->clock->at(30, 20);
        $this->recipe->add('Lemon thyme for the table', 'A fortnight is enough.', [
            'herbs' => [['id' => 'lemon-thyme']],
            'oils' => ['olive'],
            'purpose' => 'kitchen',
            'method' => 'cold',
            'school' => 'two-weeks',
        ]);
    }
}
