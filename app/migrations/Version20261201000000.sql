ALTER TABLE round ADD look_from BIGINT DEFAULT NULL, ADD out_at BIGINT DEFAULT NULL, ADD ends_at BIGINT DEFAULT NULL,
    ADD auto_seconds INT DEFAULT NULL, ADD called_at BIGINT DEFAULT NULL, ADD back_at BIGINT DEFAULT NULL,
    ADD paused_at BIGINT DEFAULT NULL;
UPDATE round SET look_from = (moments ->> 'lookFrom')::bigint, out_at = (moments ->> 'outAt')::bigint,
    ends_at = (moments ->> 'endsAt')::bigint, auto_seconds = (moments ->> 'autoSeconds')::int,
    called_at = (moments ->> 'calledAt')::bigint, back_at = (moments ->> 'backAt')::bigint,
    paused_at = (moments ->> 'pausedAt')::bigint;
ALTER TABLE round DROP moments;
CREATE TABLE event_addressee (
    seq INT NOT NULL,
    lesson_id UUID NOT NULL,
    student_id UUID NOT NULL,
    PRIMARY KEY (lesson_id, seq, student_id)
);
ALTER TABLE live_event ADD actor_kind VARCHAR(10) DEFAULT 'clock' NOT NULL, ADD actor_id UUID DEFAULT NULL,
    ADD student_id UUID DEFAULT NULL, ADD addressed BOOLEAN DEFAULT false NOT NULL;
UPDATE live_event SET actor_kind = CASE WHEN actor LIKE 'teacher:%' THEN 'teacher'
        WHEN actor LIKE 'student:%' THEN 'student' ELSE 'clock' END,
    actor_id = NULLIF(split_part(actor, ':', 2), '')::uuid, addressed = jsonb_exists(data, 'to'),
    student_id = (SELECT s.id FROM student s WHERE s.id::text = data ->> 'student');
INSERT INTO event_addressee (lesson_id, seq, student_id)
    SELECT DISTINCT e.lesson_id, e.seq, s.id FROM live_event e
    CROSS JOIN LATERAL regexp_split_to_table(trim(both '|' from e.data ->> 'to'), '\|') t (id)
    JOIN student s ON s.id::text = t.id WHERE jsonb_exists(e.data, 'to');
UPDATE live_event SET data = data - 'to' - 'student';
ALTER TABLE live_event DROP actor, ALTER actor_kind DROP DEFAULT, ALTER addressed DROP DEFAULT;
CREATE TABLE seat_task_number (
    position INT NOT NULL,
    number INT NOT NULL,
    grouping_id UUID NOT NULL,
    PRIMARY KEY (grouping_id, position, number)
);
INSERT INTO seat_task_number (grouping_id, position, number)
    SELECT DISTINCT t.grouping_id, t.position, n::int FROM seat_task t CROSS JOIN jsonb_array_elements_text(t.numbers) n;
ALTER TABLE seat_task DROP numbers;
CREATE TABLE sent_viewer (
    viewer VARCHAR(80) NOT NULL,
    sent_id UUID NOT NULL,
    PRIMARY KEY (sent_id, viewer)
);
INSERT INTO sent_viewer (sent_id, viewer)
    SELECT DISTINCT s.id, v FROM sent s CROSS JOIN jsonb_array_elements_text(s.audience) v;
ALTER TABLE sent DROP audience;
ALTER TABLE presence DROP told;
ALTER TABLE seat_task_number ADD CONSTRAINT FK_8862208D5DDE227E FOREIGN KEY (grouping_id) REFERENCES grouping (id) ON DELETE CASCADE NOT DEFERRABLE;
CREATE INDEX IDX_8862208D5DDE227E ON seat_task_number (grouping_id);
ALTER TABLE sent_viewer ADD CONSTRAINT FK_E0311BDE438A69E4 FOREIGN KEY (sent_id) REFERENCES sent (id) ON DELETE CASCADE NOT DEFERRABLE;
CREATE INDEX IDX_E0311BDE438A69E4 ON sent_viewer (sent_id);
ALTER TABLE event_addressee ADD CONSTRAINT FK_1D8BFE7ACDF80196 FOREIGN KEY (lesson_id) REFERENCES lesson (id) ON DELETE CASCADE NOT DEFERRABLE;
ALTER TABLE event_addressee ADD CONSTRAINT FK_1D8BFE7ACB944F1A FOREIGN KEY (student_id) REFERENCES student (id) ON DELETE CASCADE NOT DEFERRABLE;
CREATE INDEX IDX_1D8BFE7ACDF80196 ON event_addressee (lesson_id);
CREATE INDEX IDX_1D8BFE7ACB944F1A ON event_addressee (student_id);
ALTER TABLE live_event ADD CONSTRAINT FK_6B7407BACB944F1A FOREIGN KEY (student_id) REFERENCES student (id) ON DELETE SET NULL NOT DEFERRABLE;
CREATE INDEX live_event_about ON live_event (lesson_id, student_id, kind, seq);
CREATE INDEX IDX_6B7407BACB944F1A ON live_event (student_id);
