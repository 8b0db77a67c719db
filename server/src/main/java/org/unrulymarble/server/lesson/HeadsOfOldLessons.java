package org.unrulymarble.server.lesson;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.Statement;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes the heads of lessons that were kept before lists had heads to read. */
@Component
class HeadsOfOldLessons implements JavaMigration {

    private final JsonMapper json;

    HeadsOfOldLessons(JsonMapper json) {
        this.json = json;
    }

    @Override
    public MigrationVersion getVersion() {
        return MigrationVersion.fromVersion("21");
    }

    @Override
    public String getDescription() {
        return "heads of old lessons";
    }

    @Override
    public Integer getChecksum() {
        return null;
    }

    @Override
    public boolean canExecuteInTransaction() {
        return true;
    }

    @Override
    public void migrate(Context context) throws java.sql.SQLException {
        try (Statement all = context.getConnection().createStatement();
                ResultSet lessons = all.executeQuery("select id, plan from lesson where head is null");
                PreparedStatement write =
                        context.getConnection().prepareStatement("update lesson set head = ? where id = ?")) {
            while (lessons.next()) {
                write.setString(1, LessonHead.ofPlan(json, lessons.getString("plan")));
                write.setObject(2, lessons.getObject("id"));
                write.addBatch();
            }
            write.executeBatch();
        }
    }
}
