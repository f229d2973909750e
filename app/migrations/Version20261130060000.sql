ALTER TABLE room ALTER may_record DROP NOT NULL, ALTER may_share_screen DROP NOT NULL, ALTER may_write DROP NOT NULL;
UPDATE room r SET may_record = NULL WHERE may_record IS NOT DISTINCT FROM COALESCE((SELECT s.may_record FROM room_source s WHERE s.class_id = r.class_id), false);
UPDATE room r SET may_share_screen = NULL WHERE may_share_screen IS NOT DISTINCT FROM COALESCE((SELECT s.may_share_screen FROM room_source s WHERE s.class_id = r.class_id), true);
UPDATE room r SET may_write = NULL WHERE may_write IS NOT DISTINCT FROM COALESCE((SELECT s.may_write FROM room_source s WHERE s.class_id = r.class_id), true);
ALTER TABLE lesson ADD locks_at_end BOOLEAN DEFAULT false NOT NULL;
ALTER TABLE hand_out ADD opens_with_id UUID DEFAULT NULL;
ALTER TABLE hand_out ADD CONSTRAINT FK_C06437EEC4CCED28 FOREIGN KEY (opens_with_id) REFERENCES segment (id) ON DELETE CASCADE NOT DEFERRABLE;
CREATE INDEX IDX_C06437EEC4CCED28 ON hand_out (opens_with_id);
ALTER TABLE student ADD picture INT DEFAULT NULL;
ALTER TABLE school_class ADD language VARCHAR(35) DEFAULT 'en-GB' NOT NULL;
UPDATE student s SET picture = n.n - 1 FROM (SELECT t.id, ROW_NUMBER() OVER (PARTITION BY t.class_id ORDER BY t.position, t.id) AS n
    FROM student t JOIN school_class c ON c.id = t.class_id WHERE c.cannot_read_yet AND t.removed_at IS NULL) n WHERE n.id = s.id;
ALTER TABLE original ADD removed_at BIGINT DEFAULT NULL;
CREATE TABLE job (
    state VARCHAR(10) NOT NULL,
    done INT DEFAULT 0 NOT NULL,
    parts JSONB DEFAULT '{}' NOT NULL,
    result VARCHAR(80) DEFAULT NULL,
    failure VARCHAR(300) DEFAULT NULL,
    id UUID NOT NULL,
    kind VARCHAR(10) NOT NULL,
    name VARCHAR(200) NOT NULL,
    input VARCHAR(80) NOT NULL,
    total INT NOT NULL,
    made_at BIGINT NOT NULL,
    teacher_id UUID NOT NULL,
    PRIMARY KEY (id)
);
CREATE INDEX IDX_FBD8E0F841807E1D ON job (teacher_id);
ALTER TABLE job ADD CONSTRAINT FK_FBD8E0F841807E1D FOREIGN KEY (teacher_id) REFERENCES teacher (id) ON DELETE CASCADE NOT DEFERRABLE;
