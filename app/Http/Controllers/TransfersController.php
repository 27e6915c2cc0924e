<?php

namespace App\Http\Controllers;

use App\Actions\Houses\TransferException;
use App\Actions\Transfers\Choices;
use App\Actions\Transfers\Transfers;
use App\Http\Requests;
use App\Models\Tenancy\CurrentHouse;
use App\Models\Transfer;
use App\OpenApi\Operation;
use App\Pages\House\TransferPage;
use App\Responses\House\Transfers as Both;
use App\Responses\House\TransferView;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** A whole house out and in as a zip, whatever its size. */
final class TransfersController extends Controller
{
    public function __construct(private readonly Transfers $transfers, private readonly TransferPage $page) {}

    #[Operation('What is on its way out of the house and into it')]
    public function index(): Both
    {
        return $this->page->both(Requests\FillTransfer::AT_ONCE);
    }

    #[Operation('Have the whole house written down as a zip, or begin to send one in')]
    public function begin(Requests\BeginTransfer $form): TransferView
    {
        return $this->page->of(
            $form->string('way')->toString() === Transfer::OUT ? $this->transfers->out() : $this->transfers->in($form->integer('size')),
        );
    }

    #[Operation('Send some bytes of it; the same ones again change nothing')]
    public function fill(Requests\FillTransfer $form, string $transfer): TransferView
    {
        $found = $this->found($transfer, Transfer::IN);
        $bytes = $form->bytes();
        $bytes !== '' || throw new TransferException('unreadable', 'That is not base64.', 'base64');
        $this->transfers->fill($found, $form->integer('from'), $bytes);

        return $this->page->of($found);
    }

    #[Operation('Take it in, once all of it was sent: all of it or nothing')]
    public function take(Requests\TakeTransfer $form, string $transfer): TransferView
    {
        $found = $this->found($transfer, Transfer::IN);
        $this->transfers->take(
            $found,
            Choices::of(array_map(fn (mixed $each) => filter_var($each, FILTER_VALIDATE_BOOL), $form->validated())),
        );

        return $this->page->of($found->refresh());
    }

    #[Operation('The zip, as docs/formats/house-zip.schema.json', gives: 'application/zip')]
    public function file(CurrentHouse $current, string $transfer): Response
    {
        $found = $this->found($transfer, Transfer::OUT);
        if ($found->state !== Transfer::DONE || $this->transfers->got($found) === 0) {
            throw TransferException::gone();
        }
        $name = Str::slug($current->house()->name).'-'.$found->updated_at->format('Y-m-d').'.zip';

        // The web server sends the file itself, however slowly it is read: no worker waits with it.
        return new Response('', 200, [
            'X-Accel-Redirect' => '/'.basename($found->path()),
            'Content-Type' => 'application/zip',
            'Content-Disposition' => 'attachment; filename="'.$name.'"',
            'Cache-Control' => 'no-store',
        ]);
    }

    #[Operation('Throw it away')]
    public function drop(string $transfer): Both
    {
        $this->transfers->drop(Transfer::query()->where('uid', $transfer)->first() ?? throw new NotFoundHttpException());

        return $this->index();
    }

    private function found(string $uid, string $way): Transfer
    {
        return Transfer::query()->where('uid', $uid)->where('way', $way)->first() ?? throw new NotFoundHttpException();
    }
}
