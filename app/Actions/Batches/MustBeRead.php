<?php

namespace App\Actions\Batches;

use Kettle\Caution\CautionException;
use Kettle\Reason\Note;
use Kettle\Reason\Said;
use Kettle\Recipe\WishException;
use Kettle\Recipe\Words;

/** What must not pass silently when something is begun: a stop is refused, and some cautions are read first. */
final class MustBeRead
{
    /**
     * @param  list<Note>  $notes
     * @param  list<string>  $acknowledged ids of those that somebody has read
     * @param  ?string  $field of the wish a stop is laid to; null for what each is about
     * @return list<array{id: string, says: Said}> those that were read
     *
     * @throws WishException
     */
    public static function of(array $notes, array $acknowledged, Words $words, ?string $field = null): array
    {
        $read = [];
        foreach ($notes as $note) {
            if ($note->rank === 'stop') {
                throw WishException::from(new CautionException('stop', $words->of($note->says), $field ?? $note->about));
            }
            if (in_array($note->id, $acknowledged, true)) {
                $read[] = ['id' => $note->id, 'says' => $note->says];
            } elseif ($note->acknowledge) {
                throw WishException::from(CautionException::unread($words->of($note->says)));
            }
        }

        return $read;
    }
}
