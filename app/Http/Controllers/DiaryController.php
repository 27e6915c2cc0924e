<?php

namespace App\Http\Controllers;

use App\Actions\Diary\Absences;
use App\House\KitchenFactory;
use App\Http\AskedException;
use App\Http\Requests;
use App\Models\Absence;
use App\Models\BusyCalendar;
use App\Models\DiaryMove;
use App\Models\House;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Tenancy\Role;
use App\OpenApi\Operation;
use App\Pages\Diary\DiaryFile;
use App\Pages\Diary\DiaryPresenter;
use App\Responses\Diary\DiaryPage;
use App\Responses\Diary\FeedMade;
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

    #[Operation('The days to come', query: ['from' => '^\d{4}-\d\d-\d\d$'])]
    public function show(Request $request): DiaryPage
    {
        $today = $this->kitchens->now()->setTime(0, 0);
        $asked = $this->asked($request, 'from');
        $from = $asked === '' ? $today : Day::read($asked, $today->getTimezone()) ?? throw AskedException::unreadable('from');

        return $this->words->page(max($today, min($from, $today->modify('+1 year'))));
    }

    #[Operation('The days to come as iCalendar', gives: 'text/calendar')]
    public function file(DiaryFile $file): Response
    {
        return $this->calendar($file());
    }

    #[Operation('Make a private address for calendars; one made before stops working')]
    public function makeFeed(): FeedMade
    {
        $token = Str::random(40);
        House::query()
            ->whereKey($this->current->house()->id)
            ->update(['feed_hash' => hash('sha256', $token)]);

        return new FeedMade(url("/feeds/{$token}.ics"));
    }

    #[Operation('Take the private address back')]
    public function removeFeed(): DiaryPage
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

    #[Operation('Days away, or hours')]
    public function addAbsence(Requests\AddAbsence $form, Absences $absences): DiaryPage
    {
        $absences->add($form->string('from')->toString(), $form->string('to')->toString(), $form->string('called')->trim()->toString());

        return $this->fromToday();
    }

    #[Operation('At home after all')]
    public function removeAbsence(string $absence, Absences $absences): DiaryPage
    {
        $absences->remove(Absence::query()->where('uid', $absence)->whereNull('calendar_id')->first() ?? throw new NotFoundHttpException());

        return $this->fromToday();
    }

    #[Operation('Busy times out of a calendar')]
    public function readCalendar(Requests\ReadCalendar $form, Absences $absences): DiaryPage
    {
        $notes = $absences->read($form->string('called')->trim()->toString(), $form->string('ics')->toString());

        return $this->fromToday($notes);
    }

    #[Operation('Forget a calendar')]
    public function forgetCalendar(string $calendar, Absences $absences): DiaryPage
    {
        $absences->forget(BusyCalendar::query()->where('uid', $calendar)->first() ?? throw new NotFoundHttpException());

        return $this->fromToday();
    }

    #[Operation('What moved has been seen')]
    public function seen(): DiaryPage
    {
        DiaryMove::query()->delete();

        return $this->fromToday();
    }

    /** @param  list<string>  $notes */
    private function fromToday(array $notes = []): DiaryPage
    {
        return $this->words->page($this->kitchens->now()->setTime(0, 0), $notes);
    }

    private function calendar(string $text): Response
    {
        return new Response($text, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="warm-kettle.ics"',
        ]);
    }
}
