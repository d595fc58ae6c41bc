<?php

namespace App\Http;

use Illuminate\Http\Request;
use OddSpark\Appliance\Model;
use OddSpark\Words\Words;

/**
 * In which language somebody reads: as chosen on the device, which the browser keeps in a cookie. What is said of an
 * appliance is in the words of its trade, unless he reads another language altogether.
 */
final class Reader
{
    public const COOKIE = 'words';

    public static function language(Request $request): string
    {
        $asked = $request->cookie(self::COOKIE);

        return is_string($asked) && in_array($asked, Words::languages(), true) ? $asked : Words::AMERICAN;
    }

    public static function languageOf(Request $request, Model $model): string
    {
        $language = self::language($request);

        return str_starts_with($language, 'en-') ? $model->language() : $language;
    }
}
