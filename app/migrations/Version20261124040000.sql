CREATE TABLE teacher (
    id UUID NOT NULL PRIMARY KEY,
    email VARCHAR(180) NOT NULL,
    name VARCHAR(120) NOT NULL,
    password VARCHAR(255) NOT NULL
);
CREATE UNIQUE INDEX teacher_email ON teacher (email);

CREATE TABLE staff_session (
    sess_id VARCHAR(128) NOT NULL PRIMARY KEY,
    sess_data BYTEA NOT NULL,
    sess_lifetime INTEGER NOT NULL,
    sess_time INTEGER NOT NULL
);
CREATE INDEX staff_session_lifetime ON staff_session (sess_lifetime);

CREATE TABLE cache_items (
    item_id VARCHAR(255) NOT NULL PRIMARY KEY,
    item_data BYTEA NOT NULL,
    item_lifetime INTEGER DEFAULT NULL,
    item_time INTEGER NOT NULL
);

CREATE TABLE school_class (
    id UUID NOT NULL PRIMARY KEY,
    teacher_id UUID NOT NULL REFERENCES teacher (id),
    name VARCHAR(80) NOT NULL,
    code VARCHAR(8) NOT NULL,
    current_lesson_id UUID DEFAULT NULL,
    created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL
);
CREATE UNIQUE INDEX school_class_code ON school_class (code);
CREATE INDEX school_class_teacher ON school_class (teacher_id);

CREATE TABLE student (
    id UUID NOT NULL PRIMARY KEY,
    class_id UUID NOT NULL REFERENCES school_class (id),
    name VARCHAR(120) NOT NULL,
    position INTEGER NOT NULL,
    absent BOOLEAN NOT NULL,
    removed_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL
);
CREATE INDEX student_class ON student (class_id);

-- The one device that has claimed a student's name. The cookie's value is kept as a SHA-256 digest.
CREATE TABLE student_device (
    student_id UUID NOT NULL PRIMARY KEY REFERENCES student (id),
    token_hash CHAR(64) NOT NULL,
    claimed_at TIMESTAMP(0) WITH TIME ZONE NOT NULL DEFAULT now()
);
CREATE UNIQUE INDEX student_device_token ON student_device (token_hash);

CREATE TABLE grouping (
    id UUID NOT NULL PRIMARY KEY,
    class_id UUID NOT NULL REFERENCES school_class (id),
    name VARCHAR(80) NOT NULL,
    step INTEGER NOT NULL
);
CREATE INDEX grouping_class ON grouping (class_id);

-- Every state the floor has been in, for undo and redo; grouping.step says which one is now.
CREATE TABLE grouping_step (
    grouping_id UUID NOT NULL REFERENCES grouping (id),
    number INTEGER NOT NULL,
    what VARCHAR(40) NOT NULL,
    floor JSONB NOT NULL,
    PRIMARY KEY (grouping_id, number)
);

CREATE TABLE lesson (
    id UUID NOT NULL PRIMARY KEY,
    class_id UUID NOT NULL REFERENCES school_class (id),
    title VARCHAR(120) NOT NULL,
    minutes INTEGER NOT NULL,
    event_seq INTEGER NOT NULL DEFAULT 0,
    created_at TIMESTAMP(0) WITH TIME ZONE NOT NULL
);
CREATE INDEX lesson_class ON lesson (class_id);

-- moments: the round as its events have made it (RoundState), so that no request has to fold them all.
CREATE TABLE round (
    id UUID NOT NULL PRIMARY KEY,
    lesson_id UUID NOT NULL REFERENCES lesson (id),
    grouping_id UUID NOT NULL REFERENCES grouping (id),
    number INTEGER NOT NULL,
    instructions TEXT NOT NULL,
    minutes INTEGER NOT NULL,
    look_seconds INTEGER NOT NULL,
    call_back_seconds INTEGER NOT NULL,
    auto_call_back BOOLEAN NOT NULL,
    moments JSONB NOT NULL DEFAULT '{}'
);
CREATE INDEX round_lesson ON round (lesson_id);
CREATE INDEX round_grouping ON round (grouping_id);

-- group_id is null for the main session of the class.
CREATE TABLE room (
    id UUID NOT NULL PRIMARY KEY,
    class_id UUID NOT NULL REFERENCES school_class (id),
    grouping_id UUID DEFAULT NULL REFERENCES grouping (id),
    group_id UUID DEFAULT NULL,
    name VARCHAR(120) NOT NULL,
    state VARCHAR(10) NOT NULL,
    external_id VARCHAR(80) DEFAULT NULL,
    failure VARCHAR(200) DEFAULT NULL
);
CREATE UNIQUE INDEX room_group ON room (grouping_id, group_id) WHERE group_id IS NOT NULL;
CREATE UNIQUE INDEX room_main ON room (class_id) WHERE group_id IS NULL;
CREATE UNIQUE INDEX room_external ON room (external_id);

-- The personal link of a student into a room, as the meeting service gave it.
CREATE TABLE room_pass (
    room_id UUID NOT NULL REFERENCES room (id),
    student_id UUID NOT NULL REFERENCES student (id),
    link VARCHAR(500) NOT NULL,
    PRIMARY KEY (room_id, student_id)
);

CREATE TABLE original (
    id UUID NOT NULL PRIMARY KEY,
    round_id UUID NOT NULL REFERENCES round (id),
    title VARCHAR(120) NOT NULL,
    blocks JSONB NOT NULL,
    version INTEGER NOT NULL
);
CREATE UNIQUE INDEX original_round ON original (round_id);

-- blocks: what the original held when the copy was made.
CREATE TABLE work_copy (
    id UUID NOT NULL PRIMARY KEY,
    round_id UUID NOT NULL REFERENCES round (id),
    original_id UUID NOT NULL REFERENCES original (id),
    original_version INTEGER NOT NULL,
    group_id UUID NOT NULL,
    name VARCHAR(500) NOT NULL,
    title VARCHAR(120) NOT NULL,
    blocks JSONB NOT NULL
);
CREATE UNIQUE INDEX work_copy_group ON work_copy (round_id, group_id);

-- owner: the student whose answer it is; the copy's own id for an answer together.
CREATE TABLE slot_answer (
    copy_id UUID NOT NULL REFERENCES work_copy (id),
    slot VARCHAR(40) NOT NULL,
    owner UUID NOT NULL,
    text TEXT NOT NULL,
    revision INTEGER NOT NULL,
    author UUID NOT NULL,
    at BIGINT NOT NULL,
    PRIMARY KEY (copy_id, slot, owner)
);

-- What a slot held before: a row for each author's stretch of writing.
CREATE TABLE slot_revision (
    copy_id UUID NOT NULL,
    slot VARCHAR(40) NOT NULL,
    owner UUID NOT NULL,
    revision INTEGER NOT NULL,
    text TEXT NOT NULL,
    author UUID NOT NULL,
    at BIGINT NOT NULL,
    PRIMARY KEY (copy_id, slot, owner, revision)
);

-- Saves that have been done, so that one sent twice counts once.
CREATE TABLE slot_save (
    id UUID NOT NULL PRIMARY KEY,
    at BIGINT NOT NULL
);
CREATE INDEX slot_save_at ON slot_save (at);

CREATE TABLE live_event (
    lesson_id UUID NOT NULL REFERENCES lesson (id),
    seq INTEGER NOT NULL,
    round_id UUID NOT NULL REFERENCES round (id),
    kind VARCHAR(30) NOT NULL,
    at BIGINT NOT NULL,
    actor VARCHAR(60) NOT NULL,
    data JSONB NOT NULL,
    PRIMARY KEY (lesson_id, seq)
);

-- Commands that have been carried out, so that one sent twice counts once.
CREATE TABLE command_key (
    lesson_id UUID NOT NULL REFERENCES lesson (id),
    id VARCHAR(64) NOT NULL,
    PRIMARY KEY (lesson_id, id)
);

-- Latest signs of each student; moments in milliseconds since 1970. told: the whereabouts staff were last told of.
CREATE TABLE presence (
    student_id UUID NOT NULL PRIMARY KEY REFERENCES student (id),
    page_at BIGINT DEFAULT NULL,
    link_place VARCHAR(40) DEFAULT NULL,
    link_at BIGINT DEFAULT NULL,
    service_place VARCHAR(40) DEFAULT NULL,
    service_at BIGINT DEFAULT NULL,
    told VARCHAR(80) DEFAULT NULL
) WITH (fillfactor = 70);

-- Work that is due, claimed by any worker. One open task a kind and subject.
CREATE TABLE due_task (
    id BIGINT GENERATED BY DEFAULT AS IDENTITY PRIMARY KEY,
    kind VARCHAR(40) NOT NULL,
    subject VARCHAR(80) NOT NULL,
    data JSONB NOT NULL,
    due_at BIGINT NOT NULL,
    attempts INTEGER NOT NULL DEFAULT 0,
    claimed_until BIGINT DEFAULT NULL,
    failure VARCHAR(200) DEFAULT NULL
);
CREATE UNIQUE INDEX due_task_once ON due_task (kind, subject);
CREATE INDEX due_task_due ON due_task (due_at);
