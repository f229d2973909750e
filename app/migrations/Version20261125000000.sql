-- seat_table: the table of the seating plan. seatable: false for a second device or a teacher's own sign-in.
ALTER TABLE student
    ADD school_id VARCHAR(120) DEFAULT NULL,
    ADD seat_table VARCHAR(60) DEFAULT NULL,
    ADD attributes JSONB NOT NULL DEFAULT '{}',
    ADD tags JSONB NOT NULL DEFAULT '[]',
    ADD seatable BOOLEAN NOT NULL DEFAULT true;

ALTER TABLE school_class
    ADD archived_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
    ADD group_names JSONB NOT NULL DEFAULT '[]';

-- Who must be apart and who must be together. Private to the teacher: no student's address reads this table.
CREATE TABLE class_rule (
    id UUID NOT NULL PRIMARY KEY,
    class_id UUID NOT NULL REFERENCES school_class (id),
    kind VARCHAR(10) NOT NULL,
    students JSONB NOT NULL
);
CREATE INDEX class_rule_class ON class_rule (class_id);

-- settings: how the desk is set for this grouping. numbers: roles and tasks by seat number. sign_up: while students take seats.
ALTER TABLE grouping
    ADD settings JSONB NOT NULL DEFAULT '{}',
    ADD numbers JSONB NOT NULL DEFAULT '{}',
    ADD sign_up JSONB DEFAULT NULL,
    ADD removed_at TIMESTAMP(0) WITH TIME ZONE DEFAULT NULL,
    ALTER step SET DEFAULT 0;

-- Groupings students have really sat in: one for each round that was sent out. groups: lists of student ids, seat 1 first.
-- roles: who had which role, as [student id, role].
CREATE TABLE grouping_use (
    round_id UUID NOT NULL PRIMARY KEY REFERENCES round (id),
    class_id UUID NOT NULL REFERENCES school_class (id),
    grouping_id UUID NOT NULL REFERENCES grouping (id),
    at BIGINT NOT NULL,
    groups JSONB NOT NULL,
    roles JSONB NOT NULL DEFAULT '[]'
);
CREATE INDEX grouping_use_class ON grouping_use (class_id, at);

CREATE TABLE grouping_variant (
    id UUID NOT NULL PRIMARY KEY,
    grouping_id UUID NOT NULL REFERENCES grouping (id),
    name VARCHAR(80) NOT NULL,
    floor JSONB NOT NULL,
    made_at TIMESTAMP(0) WITH TIME ZONE NOT NULL DEFAULT now()
);
CREATE INDEX grouping_variant_grouping ON grouping_variant (grouping_id);

-- Does a table with this id stand in some grouping?
CREATE INDEX grouping_step_floor ON grouping_step USING gin (floor jsonb_path_ops);
