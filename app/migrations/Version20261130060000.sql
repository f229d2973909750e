ALTER TABLE room ALTER may_record DROP NOT NULL, ALTER may_share_screen DROP NOT NULL, ALTER may_write DROP NOT NULL;
UPDATE room r SET may_record = NULL WHERE may_record IS NOT DISTINCT FROM COALESCE((SELECT s.may_record FROM room_source s WHERE s.class_id = r.class_id), false);
UPDATE room r SET may_share_screen = NULL WHERE may_share_screen IS NOT DISTINCT FROM COALESCE((SELECT s.may_share_screen FROM room_source s WHERE s.class_id = r.class_id), true);
UPDATE room r SET may_write = NULL WHERE may_write IS NOT DISTINCT FROM COALESCE((SELECT s.may_write FROM room_source s WHERE s.class_id = r.class_id), true);
