<?php

namespace App\Http\Controllers;

use App\Actions\People\SecondStepAtDoor;
use App\Actions\People\SignedIn;
use App\Actions\People\Totp;
use App\Http\Requests;
use App\Labels\LabelSheet;
use App\OpenApi\Operation;
use App\Responses\Door\SecondStepBegun;
use App\Responses\Door\SecondStepCodes;
use App\Responses\Door\SecondStepView;
use Illuminate\Http\Request;

/** One's own second step at the door. */
final class SecondStepController extends Controller
{
    public function __construct(private readonly SecondStepAtDoor $second) {}

    #[Operation('Whether one has a second step at the door')]
    public function show(Request $request): SecondStepView
    {
        $user = $this->user($request);
        $step = $this->second->of($user);

        return new SecondStepView($step !== null, $step === null ? 0 : $this->second->codesLeft($user));
    }

    #[Operation('Begin with an app on a phone')]
    public function begin(Requests\PresentPassword $form): SecondStepBegun
    {
        $user = $this->user($form);
        $secret = $this->second->begin($user);
        $address = Totp::address($secret, $user->email);

        return new SecondStepBegun(implode(' ', str_split($secret, 4)), $address, LabelSheet::code($address));
    }

    #[Operation('Turn it on, once the app shows a code; other devices are signed out')]
    public function confirm(Requests\SecondCode $form, SignedIn $signedIn): SecondStepCodes
    {
        $user = $this->user($form);
        $codes = $this->second->confirm($user, $form->string('code')->toString());
        $signedIn->endOthers($user, $form->session()->getId());

        return new SecondStepCodes($codes);
    }

    #[Operation('New codes for paper; those before are good no more')]
    public function codes(Requests\PresentPassword $form): SecondStepCodes
    {
        return new SecondStepCodes($this->second->renew($this->user($form)));
    }

    #[Operation('Turn it off')]
    public function off(Requests\PresentPassword $form): SecondStepView
    {
        $this->second->off($this->user($form));

        return new SecondStepView(false, 0);
    }
}
