-- Groups and seats as rows: a room, a copy and an answer point at a group that exists, and a student cannot be in two.
CREATE TABLE work_group (
    id UUID NOT NULL PRIMARY KEY,
    grouping_id UUID NOT NULL REFERENCES grouping (id) ON DELETE CASCADE,
    position INTEGER DEFAULT NULL,
    name VARCHAR(80) NOT NULL,
    mark INTEGER NOT NULL,
    CONSTRAINT work_group_position UNIQUE (grouping_id, position) DEFERRABLE INITIALLY DEFERRED,
    UNIQUE (grouping_id, id)
);
CREATE TABLE seat (
    grouping_id UUID NOT NULL REFERENCES grouping (id) ON DELETE CASCADE,
    student_id UUID NOT NULL REFERENCES student (id) ON DELETE CASCADE,
    group_id UUID NOT NULL,
    number INTEGER NOT NULL CHECK (number > 0),
    fixed BOOLEAN NOT NULL,
    PRIMARY KEY (grouping_id, student_id),
    CONSTRAINT seat_number UNIQUE (group_id, number) DEFERRABLE INITIALLY DEFERRED,
    -- A group of this grouping and of no other.
    FOREIGN KEY (grouping_id, group_id) REFERENCES work_group (grouping_id, id) ON DELETE CASCADE
);
CREATE INDEX seat_student ON seat (student_id);

ALTER TABLE grouping_step RENAME TO floor_step;
DROP INDEX grouping_step_floor;

-- All that ever stood on a floor, then what stands there now.
INSERT INTO work_group (id, grouping_id, position, name, mark)
SELECT DISTINCT ON ((g ->> 'id')::uuid) (g ->> 'id')::uuid, s.grouping_id, NULL, left(g ->> 'name', 80), (g ->> 'mark')::int
FROM floor_step s, jsonb_array_elements(s.floor -> 'groups') g ORDER BY (g ->> 'id')::uuid, s.number DESC;
UPDATE work_group w SET position = o.place - 1, name = left(o.g ->> 'name', 80), mark = (o.g ->> 'mark')::int
FROM grouping x JOIN floor_step s ON s.grouping_id = x.id AND s.number = x.step, jsonb_array_elements(s.floor -> 'groups') WITH ORDINALITY o (g, place)
WHERE w.id = (o.g ->> 'id')::uuid AND w.grouping_id = x.id;
INSERT INTO seat (grouping_id, student_id, group_id, number, fixed)
SELECT x.id, (p.id #>> '{}')::uuid, (o.g ->> 'id')::uuid, p.number, COALESCE(s.floor -> 'fixed' @> p.id, false)
FROM grouping x JOIN floor_step s ON s.grouping_id = x.id AND s.number = x.step, jsonb_array_elements(s.floor -> 'groups') o (g), jsonb_array_elements(o.g -> 'students') WITH ORDINALITY p (id, number);

ALTER TABLE room ADD FOREIGN KEY (group_id) REFERENCES work_group (id);
ALTER TABLE work_copy ADD FOREIGN KEY (group_id) REFERENCES work_group (id);

-- Runs: each time a round was sent out, with groups and seats as they were.
CREATE TABLE run (
    id UUID NOT NULL PRIMARY KEY,
    lesson_id UUID NOT NULL REFERENCES lesson (id) ON DELETE CASCADE,
    round_id UUID NOT NULL REFERENCES round (id) ON DELETE CASCADE,
    grouping_id UUID NOT NULL REFERENCES grouping (id),
    attempt INTEGER NOT NULL,
    out_at BIGINT NOT NULL,
    ended_at BIGINT DEFAULT NULL,
    taken_back BOOLEAN NOT NULL DEFAULT false
);
CREATE UNIQUE INDEX run_attempt ON run (round_id, attempt);
CREATE UNIQUE INDEX run_open ON run (lesson_id) WHERE ended_at IS NULL;
CREATE INDEX run_grouping ON run (grouping_id);
CREATE TABLE run_group (
    id UUID NOT NULL PRIMARY KEY,
    run_id UUID NOT NULL REFERENCES run (id) ON DELETE CASCADE,
    group_id UUID DEFAULT NULL REFERENCES work_group (id) ON DELETE SET NULL,
    position INTEGER NOT NULL,
    name VARCHAR(80) NOT NULL,
    mark INTEGER NOT NULL
);
CREATE UNIQUE INDEX run_group_position ON run_group (run_id, position);
CREATE INDEX run_group_group ON run_group (group_id);
CREATE TABLE run_seat (
    run_id UUID NOT NULL REFERENCES run (id) ON DELETE CASCADE,
    student_id UUID NOT NULL REFERENCES student (id) ON DELETE CASCADE,
    run_group_id UUID NOT NULL REFERENCES run_group (id) ON DELETE CASCADE,
    name VARCHAR(120) NOT NULL,
    number INTEGER NOT NULL,
    role VARCHAR(40) NOT NULL,
    PRIMARY KEY (run_id, student_id)
);
CREATE UNIQUE INDEX run_seat_number ON run_seat (run_group_id, number);
CREATE INDEX run_seat_student ON run_seat (student_id);
DROP TABLE grouping_use;
ALTER TABLE live_event ADD run_id UUID DEFAULT NULL REFERENCES run (id);
CREATE INDEX live_event_run ON live_event (run_id);
