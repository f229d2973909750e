<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Job;

use FreshHuddle\App\Account\Teacher;
use FreshHuddle\App\Http\File\Download;
use FreshHuddle\App\Http\OpenApi\FileTypes;
use FreshHuddle\App\Materials\Exception\MaterialsRefused;
use FreshHuddle\App\Materials\Media\Store\FileAway;
use FreshHuddle\App\Materials\Media\Store\FileStore;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/**
 * How far a long piece of work has got.
 */
#[Route('/api/staff/jobs/{id}', requirements: ['id' => Requirement::UUID])]
final readonly class JobController
{
    public function __construct(private Jobs $jobs, private FileStore $store)
    {
    }

    /** Says how far a long computation is. */
    #[Route('', methods: ['GET'])]
    public function show(#[CurrentUser] Teacher $teacher, string $id): JobView
    {
        return JobView::fromJob($this->jobs->forTeacher($teacher, $id));
    }

    /** Gives the file a long computation has made. */
    #[Route('/file', methods: ['GET'])]
    #[FileTypes('application/pdf')]
    public function file(#[CurrentUser] Teacher $teacher, string $id): Download
    {
        $job = $this->jobs->forTeacher($teacher, $id);
        if (JobKind::Slips !== $job->kind || JobState::Done !== $job->state || null === $job->result) {
            throw MaterialsRefused::missing();
        }
        try {
            return new Download($this->store->get($job->result), $job->name, 'application/pdf');
        } catch (FileAway) {
            throw MaterialsRefused::missing();
        }
    }
}
