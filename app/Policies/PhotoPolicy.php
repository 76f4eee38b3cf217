<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Photo;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Pictures belong to the crew whose sighting they show. Others are told that there is nothing. */
final class PhotoPolicy
{
    public function view(User $user, Photo $photo): Response
    {
        return $photo->crewId() === $user->crew_id ? Response::allow() : Response::denyAsNotFound();
    }

    public function delete(User $user, Photo $photo): Response
    {
        if ($photo->crewId() !== $user->crew_id) {
            return Response::denyAsNotFound();
        }

        return $user->isLead() || $photo->made_by === $user->id
            ? Response::allow()
            : Response::deny('Only who took it in, or a lead, takes a picture away.');
    }
}
