<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\PartFiles;
use App\Http\Requests\PartFileRequest;
use App\Library\PartView;
use App\Models\PartFileRecord;
use App\Models\PartRecord;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\HeaderUtils;

/** Photographs and files of parts of one's own. */
final class PartFileController
{
    public function add(PartFileRequest $request, User $user, PartRecord $part): JsonResponse
    {
        PartFiles::add($part, $request->string('name')->toString(), $request->string('data')->toString());

        return new JsonResponse(PartView::of($user, $part), 201);
    }

    /** A photograph is shown; whatever else there is is saved by the browser, never opened on this site. */
    public function show(PartRecord $part, int $file): Response
    {
        $row = PartFileRecord::query()->where('part_id', $part->id)->findOrFail($file);
        $plain = (string) preg_replace('/[^\x20-\x7e]|[%\/\\\\]/', '_', $row->name);

        return new Response($row->content, 200, [
            'Content-Type' => $row->is_photo ? 'image/jpeg' : 'application/octet-stream',
            'Content-Disposition' => HeaderUtils::makeDisposition($row->is_photo ? 'inline' : 'attachment', str_replace(['/', '\\'], '_', $row->name), $plain),
            'Content-Security-Policy' => "default-src 'none'; sandbox",
        ]);
    }

    public function remove(User $user, PartRecord $part, int $file): JsonResponse
    {
        PartFiles::remove($part, $file);

        return new JsonResponse(PartView::of($user, $part));
    }

    public function restore(User $user, PartRecord $part, int $file): JsonResponse
    {
        PartFiles::restore($part, $file);

        return new JsonResponse(PartView::of($user, $part));
    }
}
