<?php

declare(strict_types=1);

namespace FreshHuddle\App\Ready\Portal;

/**
 * A course portal: where a class finds what it is to do. Every call may be made twice with the same effect as once.
 */
interface CoursePortal
{
    /**
     * The course of a class is there, with these people in it and no others.
     *
     * @param string                $key      the same key is the same course
     * @param array<string, string> $students our id => name
     * @param array<string, string> $staff    our id => name
     *
     * @throws PortalFailed
     */
    public function course(string $key, string $name, array $students, array $staff): void;

    /**
     * @param string $key the same key gives the same post
     *
     * @return string what the portal calls the post
     *
     * @throws PortalFailed
     */
    public function post(string $key, string $course, Post $posting): string;

    /**
     * @throws PortalFailed
     */
    public function change(string $post, Post $posting): void;

    /**
     * Nobody sees it any more. Nothing happens where there is no such post.
     *
     * @throws PortalFailed
     */
    public function withdraw(string $post): void;

    /**
     * What is posted in a course, as the portal has it. It is not believed that something is there because it was sent.
     *
     * @return array<string, Post> by what the portal calls them
     *
     * @throws PortalFailed
     */
    public function posts(string $course): array;

    /**
     * Where a teacher looks at the course.
     */
    public function page(string $course): string;
}
