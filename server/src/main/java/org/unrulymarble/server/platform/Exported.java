package org.unrulymarble.server.platform;

import java.util.UUID;
import java.util.function.BiConsumer;
import java.util.function.Consumer;

/** What a room of the house keeps, told row by row for whoever carries it out. Each room tells its own. */
public interface Exported {

    /** What it is called in the file, such as {@code lessons}. */
    String name();

    /** What belongs to no class, such as spaces. */
    default void ofSchool(Consumer<Object> row) {}

    default void ofClass(UUID classId, Consumer<Object> row) {}

    default void ofPupil(UUID pupilId, Consumer<Object> row) {}

    /** What belongs to no class. */
    static Exported ofSchool(String name, Consumer<Consumer<Object>> tell) {
        return new Exported() {
            @Override
            public String name() {
                return name;
            }

            @Override
            public void ofSchool(Consumer<Object> row) {
                tell.accept(row);
            }
        };
    }

    /** What belongs to a class, and of it what is of one pupil. */
    static Exported ofClass(
            String name, BiConsumer<UUID, Consumer<Object>> tellClass, BiConsumer<UUID, Consumer<Object>> tellPupil) {
        return new Exported() {
            @Override
            public String name() {
                return name;
            }

            @Override
            public void ofClass(UUID classId, Consumer<Object> row) {
                tellClass.accept(classId, row);
            }

            @Override
            public void ofPupil(UUID pupilId, Consumer<Object> row) {
                tellPupil.accept(pupilId, row);
            }
        };
    }
}
