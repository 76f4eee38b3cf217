<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Stopped;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Thicket\Input\Faults;
use Thicket\Input\Fields;

abstract class Controller
{
    /** Lists and objects of a body; a file of shapes within one is a text, and counts its own. */
    private const MOST_LISTS = 1_000_000;

    /** The JSON body as fields of the core: every controller reads bodies through this. */
    protected function fields(Request $request): Fields
    {
        // counted before it is unfolded: every list and object takes some hundred bytes, however few stand in the text
        if (substr_count($request->getContent(), '[') + substr_count($request->getContent(), '{') > self::MOST_LISTS) {
            throw new Stopped(413, 'This holds more lists and objects than are taken at once; send less at a time.');
        }
        try {
            $body =
                $request->getContent() === '' ? [] : json_decode($request->getContent(), true, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            throw new Stopped(400, 'The body must be JSON.');
        }

        return Fields::of($body, new Faults());
    }

    /** The query string as fields, unknown names refused. */
    protected function query(Request $request): Fields
    {
        // read as it was sent: the framework turns an empty text into nothing, and "take it out" is not "leave it"
        parse_str((string) $request->server->get('QUERY_STRING', ''), $sent);

        return Fields::of($sent, new Faults());
    }

    protected function done(Fields $in): void
    {
        $in->noOthers();
        $in->faults->throwIfAny();
    }

    protected function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new Stopped(401, 'Sign in first.');
    }

    /** @param array<string, mixed> $body */
    protected function json(array $body, int $status = 200, ?int $revision = null): JsonResponse
    {
        return new JsonResponse(
            $body,
            $status,
            $revision === null ? [] : ['ETag' => "\"{$revision}\""],
            JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    /**
     * Refuses a change made on an old version (rulings B28): 428 without If-Match, 412 with the newer values.
     *
     * @param \Closure(): array<string, mixed> $current
     */
    protected function mustMatch(Request $request, int $revision, \Closure $current): void
    {
        $match = $request->header('If-Match');
        if (!is_string($match)) {
            throw new Stopped(428, 'Send If-Match with the version you changed.');
        }
        // a server that packs the answer marks its tag weak (W/); it is the same version
        $named = preg_replace('/^\s*W\//', '', array_map(trim(...), explode(',', $match)));
        if (!in_array("\"{$revision}\"", $named ?? [], true)) {
            throw new Stopped(412, 'Somebody changed this meanwhile; look at both and save again.', [
                'current' => $current(),
            ]);
        }
    }

    /** A client may make its ids; one that exists already is refused (rulings B7). */
    protected function mustBeNew(?string $id, Model $model, string $field = 'id'): void
    {
        if ($id !== null && $model->newQuery()->whereKey($id)->exists()) {
            throw new Stopped(422, 'This id is taken.', [
                'errors' => [['pointer' => "/{$field}", 'message' => 'This id is taken; make a new one.']],
            ]);
        }
    }

    /** Signing, issuing and confirming ask the password again, with fifteen minutes of grace (rulings B15). */
    protected function passwordAgain(Request $request): void
    {
        // kept under whose password it was: a confirmation is nobody else's, whoever signs in next on this browser
        $at = $request->hasSession() ? $request->session()->get(self::passwordKey($this->user($request))) : null;
        if (!is_int($at) || time() - $at > 60 * config()->integer('thicket.password_grace_minutes')) {
            throw new Stopped(403, 'Give your password again to sign this.', ['needs' => 'password']);
        }
    }

    protected static function passwordKey(User $user): string
    {
        return "password_given.{$user->id}";
    }
}
