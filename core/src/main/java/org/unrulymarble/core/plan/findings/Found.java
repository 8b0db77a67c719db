package org.unrulymarble.core.plan.findings;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.unrulymarble.core.plan.Lesson;
import org.unrulymarble.core.plan.Placed;
import org.unrulymarble.core.plan.Setting;
import org.unrulymarble.core.plan.edit.Edit;

/** A finding with the change that its mend makes, or null. */
record Found(Finding finding, Change change) {

    /** A mend and the edits that it is made of. */
    record Change(Finding.Mend mend, List<Edit> edits) {
        static Change of(Finding.Mend.Kind kind, Map<String, Object> figures, Edit... edits) {
            return of(kind, figures, List.of(edits));
        }

        static Change of(Finding.Mend.Kind kind, Map<String, Object> figures, List<Edit> edits) {
            return new Change(new Finding.Mend(kind, Map.copyOf(figures)), List.copyOf(edits));
        }

        Lesson on(Lesson lesson, Setting setting) {
            return Edit.all(edits, lesson, setting);
        }
    }

    static Draft stop(Finding.Code code) {
        return new Draft(code, Finding.Level.STOP);
    }

    static Draft mind(Finding.Code code) {
        return new Draft(code, Finding.Level.MIND);
    }

    /** A finding that is being put together. */
    static final class Draft {
        private final Finding.Code code;
        private final Finding.Level level;
        private final Map<String, Object> figures = new LinkedHashMap<>();
        private final List<String> pupils = new ArrayList<>();
        private String blockId;
        private String about = "";
        private Finding.Threshold threshold;
        private Finding.School school = Finding.School.EVERY;
        private Change change;

        private Draft(Finding.Code code, Finding.Level level) {
            this.code = code;
            this.level = level;
        }

        Draft at(Placed p) {
            blockId = p.block().id();
            return this;
        }

        /** What tells it from others of its code in the same block. */
        Draft about(String what) {
            about = ":" + what;
            return this;
        }

        Draft pupil(String name) {
            pupils.add(name);
            return this;
        }

        Draft figure(String name, Object value) {
            if (value != null) figures.put(name, value);
            return this;
        }

        Draft beyond(String name, double value) {
            threshold = new Finding.Threshold(name, value);
            return this;
        }

        Draft school(Finding.School whose) {
            school = whose;
            return this;
        }

        Draft mend(Change mend) {
            change = mend;
            return this;
        }

        Found done() {
            String id = code + (blockId == null ? "" : ":" + blockId) + about;
            Finding finding = new Finding(
                    id,
                    code,
                    level,
                    blockId,
                    pupils,
                    figures,
                    threshold,
                    school,
                    change == null ? null : change.mend(),
                    null);
            return new Found(finding, change);
        }
    }
}
