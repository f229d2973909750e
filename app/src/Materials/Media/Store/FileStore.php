<?php

declare(strict_types=1);

namespace FreshHuddle\App\Materials\Media\Store;

/**
 * Where the bytes of pictures and recordings lie, each under a key of a-z and 0-9: a store is a file here, and a row of
 * FileStoreTest.
 */
interface FileStore
{
    /**
     * Keeps the bytes. Under the same key the same bytes may be kept again.
     *
     * @throws FileAway if the store does not take them; then nothing is kept under the key that was not before
     */
    public function put(string $key, string $bytes): void;

    /**
     * @throws FileAway if the store does not answer, or has nothing under the key
     */
    public function get(string $key): string;

    /**
     * Forgets what is kept under the key, if anything is.
     *
     * @throws FileAway
     */
    public function drop(string $key): void;

    /**
     * Forgets what was begun to be kept and never was whole.
     *
     * @param int $before seconds since 1970: begun before then
     *
     * @throws FileAway
     */
    public function dropParts(int $before): void;
}
