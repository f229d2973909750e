ALTER TABLE run ADD came_from_lesson_id UUID DEFAULT NULL;
ALTER TABLE run ADD came_from_segment_id UUID DEFAULT NULL;
ALTER TABLE run ADD came_from_since BIGINT DEFAULT NULL;
CREATE TABLE run_last_seat (
    name VARCHAR(120) NOT NULL,
    number INT NOT NULL,
    role VARCHAR(40) NOT NULL,
    task TEXT NOT NULL,
    run_id UUID NOT NULL,
    student_id UUID NOT NULL,
    run_group_id UUID NOT NULL,
    PRIMARY KEY (run_id, student_id)
);
CREATE UNIQUE INDEX run_last_seat_number ON run_last_seat (run_group_id, number);
CREATE TABLE run_room (
    name VARCHAR(120) NOT NULL,
    source VARCHAR(20) NOT NULL,
    link VARCHAR(1000) DEFAULT NULL,
    run_group_id UUID NOT NULL,
    PRIMARY KEY (run_group_id)
);
INSERT INTO run_last_seat (run_id, student_id, run_group_id, name, number, role, task)
    SELECT s.run_id, s.student_id, s.run_group_id, s.name, s.number, s.role, '' FROM run_seat s;
CREATE INDEX IDX_5076A4C0EEC6C582 ON run (came_from_lesson_id);
CREATE INDEX IDX_5076A4C0C1D08014 ON run (came_from_segment_id);
CREATE INDEX IDX_6EF6FFC684E3FEC4 ON run_last_seat (run_id);
CREATE INDEX IDX_6EF6FFC6CB944F1A ON run_last_seat (student_id);
CREATE INDEX IDX_6EF6FFC6C5629BFF ON run_last_seat (run_group_id);
ALTER TABLE run_room ADD CONSTRAINT FK_EE610EBFC5629BFF FOREIGN KEY (run_group_id) REFERENCES run_group (id) ON DELETE CASCADE NOT DEFERRABLE;
ALTER TABLE run ADD CONSTRAINT FK_5076A4C0EEC6C582 FOREIGN KEY (came_from_lesson_id) REFERENCES lesson (id) ON DELETE SET NULL NOT DEFERRABLE;
ALTER TABLE run ADD CONSTRAINT FK_5076A4C0C1D08014 FOREIGN KEY (came_from_segment_id) REFERENCES segment (id) ON DELETE SET NULL NOT DEFERRABLE;
ALTER TABLE run_last_seat ADD CONSTRAINT FK_6EF6FFC684E3FEC4 FOREIGN KEY (run_id) REFERENCES run (id) ON DELETE CASCADE NOT DEFERRABLE;
ALTER TABLE run_last_seat ADD CONSTRAINT FK_6EF6FFC6CB944F1A FOREIGN KEY (student_id) REFERENCES student (id) ON DELETE CASCADE NOT DEFERRABLE;
ALTER TABLE run_last_seat ADD CONSTRAINT FK_6EF6FFC6C5629BFF FOREIGN KEY (run_group_id) REFERENCES run_group (id) ON DELETE CASCADE NOT DEFERRABLE;
ALTER TABLE lesson ADD begun_at BIGINT DEFAULT NULL;
UPDATE lesson l SET begun_at = (SELECT MIN(at) FROM live_event e WHERE e.lesson_id = l.id AND e.kind IN ('segmentBegun', 'sentOut'));
ALTER TABLE run_group ADD last_name VARCHAR(80) DEFAULT NULL;
UPDATE run_group SET last_name = name;
ALTER TABLE run_group ALTER last_name DROP DEFAULT, ALTER last_name SET NOT NULL;
ALTER TABLE student ADD guest BOOLEAN DEFAULT false NOT NULL;
ALTER TABLE student ADD guest_of UUID DEFAULT NULL;
DELETE FROM set_up;
ALTER TABLE set_up_step ADD round_id UUID NOT NULL;
CREATE INDEX IDX_770CB2EEA6005CA0 ON set_up_step (round_id);
ALTER TABLE set_up_step ADD CONSTRAINT FK_set_up_step_round FOREIGN KEY (round_id) REFERENCES round (id) ON DELETE CASCADE NOT DEFERRABLE;
CREATE TABLE shared_plan (
    round_id UUID NOT NULL,
    with_id UUID NOT NULL,
    PRIMARY KEY (round_id)
);
CREATE INDEX IDX_67AC30E5F098EA88 ON shared_plan (with_id);
ALTER TABLE shared_plan ADD CONSTRAINT FK_67AC30E5A6005CA0 FOREIGN KEY (round_id) REFERENCES round (id) ON DELETE CASCADE NOT DEFERRABLE;
ALTER TABLE shared_plan ADD CONSTRAINT FK_67AC30E5F098EA88 FOREIGN KEY (with_id) REFERENCES round (id) ON DELETE CASCADE NOT DEFERRABLE;
ALTER TABLE school_class ADD talk_only BOOLEAN DEFAULT false NOT NULL;
ALTER TABLE lesson ADD talk_only BOOLEAN DEFAULT false NOT NULL;
ALTER TABLE slot_answer ADD share DOUBLE PRECISION DEFAULT 0 NOT NULL;
UPDATE slot_answer SET share = 1 WHERE text <> '';
DROP INDEX UNIQ_87196E0ECB944F1A;
ALTER TABLE student_device ADD slot SMALLINT DEFAULT 1 NOT NULL;
CREATE UNIQUE INDEX student_device_slot ON student_device (student_id, slot);
CREATE INDEX IDX_87196E0ECB944F1A ON student_device (student_id);
ALTER TABLE school_class ADD two_devices BOOLEAN DEFAULT false NOT NULL;
CREATE TABLE ended_device (
    token_hash CHAR(64) NOT NULL,
    name VARCHAR(120) NOT NULL,
    why VARCHAR(20) NOT NULL,
    at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
    PRIMARY KEY (token_hash)
);
DROP INDEX room_link;
ALTER TABLE room ADD link_scope UUID DEFAULT NULL;
UPDATE room SET link_scope = COALESCE(grouping_id, class_id) WHERE normal_link IS NOT NULL;
CREATE UNIQUE INDEX room_link ON room (link_owner_id, normal_link, link_scope);
CREATE TABLE standing_link (
    position INT NOT NULL,
    link VARCHAR(1000) NOT NULL,
    class_id UUID NOT NULL,
    PRIMARY KEY (class_id, position)
);
CREATE INDEX IDX_DC8AECEDEA000B10 ON standing_link (class_id);
ALTER TABLE standing_link ADD CONSTRAINT FK_standing_link_class FOREIGN KEY (class_id) REFERENCES school_class (id) ON DELETE CASCADE NOT DEFERRABLE;
CREATE TABLE once_press (
    owner UUID NOT NULL,
    key VARCHAR(64) NOT NULL,
    digest VARCHAR(32) NOT NULL,
    at TIMESTAMP(0) WITH TIME ZONE NOT NULL,
    status SMALLINT DEFAULT NULL,
    answer TEXT DEFAULT NULL,
    PRIMARY KEY (owner, key)
);
DELETE FROM command_key;
ALTER TABLE command_key ADD digest VARCHAR(32) NOT NULL;
DELETE FROM slot_save;
ALTER TABLE slot_save ADD digest VARCHAR(16) NOT NULL;
DELETE FROM doorway_guest;
ALTER TABLE doorway_guest ADD network CHAR(16) NOT NULL;
ALTER TABLE school_class ADD strangers_out_until TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL;
CREATE TABLE original_media (
    original_id UUID NOT NULL,
    media_id UUID NOT NULL,
    PRIMARY KEY (original_id, media_id)
);
CREATE TABLE sheet_media (
    copy_id UUID NOT NULL,
    media_id UUID NOT NULL,
    PRIMARY KEY (copy_id, media_id)
);
ALTER TABLE original_media ADD CONSTRAINT FK_original_media_original FOREIGN KEY (original_id) REFERENCES original (id) ON DELETE CASCADE NOT DEFERRABLE;
ALTER TABLE original_media ADD CONSTRAINT FK_original_media_media FOREIGN KEY (media_id) REFERENCES media (id) ON DELETE CASCADE NOT DEFERRABLE;
ALTER TABLE sheet_media ADD CONSTRAINT FK_sheet_media_copy FOREIGN KEY (copy_id) REFERENCES work_copy (id) ON DELETE CASCADE NOT DEFERRABLE;
ALTER TABLE sheet_media ADD CONSTRAINT FK_sheet_media_media FOREIGN KEY (media_id) REFERENCES media (id) ON DELETE CASCADE NOT DEFERRABLE;
INSERT INTO original_media SELECT DISTINCT o.id, m.id FROM original o CROSS JOIN LATERAL jsonb_path_query(o.pages, '$.**.media') AS found (id) JOIN media m ON m.id::text = found.id #>> '{}';
INSERT INTO sheet_media SELECT DISTINCT w.id, m.id FROM work_copy w CROSS JOIN LATERAL jsonb_path_query(w.pages, '$.**.media') AS found (id) JOIN media m ON m.id::text = found.id #>> '{}';
ALTER TABLE due_task ADD claimed_by INT DEFAULT NULL;
