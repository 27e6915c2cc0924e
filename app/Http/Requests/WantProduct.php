<?php

namespace App\Http\Requests;

/** A product to be kept for the day it is wanted. */
final class WantProduct extends ReckonProduct {}
