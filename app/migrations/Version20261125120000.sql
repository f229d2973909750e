-- Devices instead of sessions: who is not signed in leaves nothing here. Each device hears one channel of its own.
DROP TABLE staff_session;
DROP TABLE cache_items;
CREATE TABLE teacher_device (
    id UUID NOT NULL PRIMARY KEY,
    teacher_id UUID NOT NULL REFERENCES teacher (id) ON DELETE CASCADE,
    token_hash CHAR(64) NOT NULL,
    channel VARCHAR(32) NOT NULL,
    signed_in_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
    until TIMESTAMP(0) WITH TIME ZONE NOT NULL
);
CREATE UNIQUE INDEX teacher_device_token ON teacher_device (token_hash);
CREATE UNIQUE INDEX teacher_device_channel ON teacher_device (channel);
CREATE INDEX teacher_device_teacher ON teacher_device (teacher_id);

-- One device a student, one student a device; until the day is over.
DROP TABLE student_device;
CREATE TABLE student_device (
    id UUID NOT NULL PRIMARY KEY,
    class_id UUID NOT NULL REFERENCES school_class (id) ON DELETE CASCADE,
    student_id UUID NOT NULL REFERENCES student (id) ON DELETE CASCADE,
    token_hash CHAR(64) NOT NULL,
    channel VARCHAR(32) NOT NULL,
    claimed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
    until TIMESTAMP(0) WITH TIME ZONE NOT NULL
);
CREATE UNIQUE INDEX student_device_student ON student_device (student_id);
CREATE UNIQUE INDEX student_device_token ON student_device (token_hash);
CREATE UNIQUE INDEX student_device_channel ON student_device (channel);
CREATE INDEX student_device_class ON student_device (class_id);

CREATE TABLE doorway_guest (
    id UUID NOT NULL PRIMARY KEY,
    class_id UUID NOT NULL REFERENCES school_class (id) ON DELETE CASCADE,
    typed VARCHAR(120) NOT NULL,
    token_hash CHAR(64) NOT NULL,
    meant UUID DEFAULT NULL,
    came_at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
    refused BOOLEAN NOT NULL DEFAULT false
);
CREATE UNIQUE INDEX doorway_guest_token ON doorway_guest (token_hash);
CREATE INDEX doorway_guest_class ON doorway_guest (class_id);

CREATE TABLE student_name (
    student_id UUID NOT NULL REFERENCES student (id) ON DELETE CASCADE,
    name VARCHAR(120) NOT NULL,
    PRIMARY KEY (student_id, name)
);

ALTER TABLE school_class ADD names_at_door BOOLEAN NOT NULL DEFAULT false;

-- When staff last looked at the lesson: while they do, it is on.
ALTER TABLE lesson ADD watched_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL;

-- folded: the form in which two names are the same name. Once among those on the list.
ALTER TABLE student ADD folded TEXT NOT NULL DEFAULT '';
UPDATE student SET folded = lower(normalize(name, NFKC));
ALTER TABLE student ALTER folded DROP DEFAULT;
CREATE UNIQUE INDEX student_folded ON student (class_id, folded) WHERE removed_at IS NULL;
