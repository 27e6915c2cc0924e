<?php

namespace App\Http\Controllers;

use App\Actions\Diary\Absences;
use App\House\KitchenFactory;
use App\Http\Requests;
use App\Models\Absence;
use App\Models\BusyCalendar;
use App\Models\DiaryMove;
use App\Models\House;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Tenancy\Role;
use App\OpenApi\Adds;
use App\OpenApi\Reads;
use App\OpenApi\Removes;
use App\Pages\Diary\DiaryFile;
use App\Pages\Diary\DiaryPresenter;
use App\Responses\FeedMade;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Kettle\Time\Day;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The days to come: looked at, gone round, and given out to calendars. */
final class DiaryController extends Controller
{
    public function __construct(
        private readonly DiaryPresenter $words,
        private readonly KitchenFactory $kitchens,
        private readonly CurrentHouse $current,
    ) {}

    #[Reads('/houses/{house}/diary', 'DiaryPage', 'The days to come', ['from'])]
    public function show(Request $request): JsonResponse
    {
        $today = $this->kitchens->now()->setTime(0, 0);
        $from = Day::read($this->asked($request, 'from'), $today->getTimezone()) ?? $today;

        return $this->json($this->words->page(max($today, min($from, $today->modify('+1 year')))));
    }

    #[Reads('/houses/{house}/diary.ics', 'text/calendar', 'The days to come as iCalendar')]
    public function file(DiaryFile $file): Response
    {
        return $this->calendar($file());
    }

    #[Adds('/houses/{house}/diary/feed', 'FeedMade', 'Make a private address for calendars; one made before stops working')]
    public function makeFeed(): JsonResponse
    {
        $token = Str::random(40);
        House::query()
            ->whereKey($this->current->house()->id)
            ->update(['feed_hash' => hash('sha256', $token)]);

        return $this->json(new FeedMade(url("/feeds/{$token}.ics")));
    }

    #[Removes('/houses/{house}/diary/feed', 'DiaryPage', 'Take the private address back')]
    public function removeFeed(): JsonResponse
    {
        House::query()
            ->whereKey($this->current->house()->id)
            ->update(['feed_hash' => null]);
        $this->current->house()->refresh();

        return $this->fromToday();
    }

    /** What a calendar elsewhere asks for: no sign-in, only the address. */
    public function feed(string $token, DiaryFile $file): Response
    {
        $house = House::query()->where('feed_hash', hash('sha256', $token))->first() ?? throw new NotFoundHttpException();
        $this->current->enter($house, Role::Reader);

        return $this->calendar($file());
    }

    #[Adds('/houses/{house}/absences', 'DiaryPage', 'Days away, or hours', 'AddAbsence')]
    public function addAbsence(Requests\AddAbsence $form, Absences $absences): JsonResponse
    {
        $absences->add($form->string('from')->toString(), $form->string('to')->toString(), $form->string('called')->trim()->toString());

        return $this->fromToday();
    }

    #[Removes('/houses/{house}/absences/{absence}', 'DiaryPage', 'At home after all')]
    public function removeAbsence(string $absence, Absences $absences): JsonResponse
    {
        $absences->remove(Absence::query()->where('uid', $absence)->whereNull('calendar_id')->first() ?? throw new NotFoundHttpException());

        return $this->fromToday();
    }

    #[Adds('/houses/{house}/calendars', 'DiaryPage', 'Busy times out of a calendar', 'ReadCalendar')]
    public function readCalendar(Requests\ReadCalendar $form, Absences $absences): JsonResponse
    {
        $absences->read($form->string('called')->trim()->toString(), $form->string('ics')->toString());

        return $this->fromToday();
    }

    #[Removes('/houses/{house}/calendars/{calendar}', 'DiaryPage', 'Forget a calendar')]
    public function forgetCalendar(string $calendar, Absences $absences): JsonResponse
    {
        $absences->forget(BusyCalendar::query()->where('uid', $calendar)->first() ?? throw new NotFoundHttpException());

        return $this->fromToday();
    }

    #[Adds('/houses/{house}/diary/seen', 'DiaryPage', 'What moved has been seen')]
    public function seen(): JsonResponse
    {
        DiaryMove::query()->delete();

        return $this->fromToday();
    }

    private function fromToday(): JsonResponse
    {
        return $this->json($this->words->page($this->kitchens->now()->setTime(0, 0)));
    }

    private function calendar(string $text): Response
    {
        return new Response($text, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="warm-kettle.ics"',
        ]);
    }
}
