package org.unrulymarble.server.store;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Converter;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.place.Space;
import org.unrulymarble.core.plan.Adaptation;
import tools.jackson.core.type.TypeReference;

/**
 * What is kept of a child: little.
 *
 * @param initial of the family name, one letter, or empty
 * @param birthYear 1990 to 2100, or null
 * @param shoeCm 10 to 40, or null
 * @param reachCm standing reach, 50 to 300, or null
 * @param adaptations what is done differently for this pupil
 * @param adaptation what else to know, in the teacher's words, or null
 * @param homeKit counts of kinds of kit at home; empty if nothing is known
 * @param homeSpace the room at home, or null
 * @param homeQuiet whether somebody lives below, or null: not known
 * @param otherHome where the pupil lives too, or null
 */
@Embeddable
public record PupilDetails(
        String firstName,
        String initial,
        @Nullable Integer birthYear,
        @Enumerated(EnumType.STRING) Hand strongHand,
        @Nullable Integer shoeCm,
        @Nullable Integer reachCm,
        @Convert(converter = AdaptationsColumn.class) List<Adaptation> adaptations,
        @Nullable String adaptation,
        @Convert(converter = KitColumn.class) Map<String, Integer> homeKit,

        @Convert(converter = SpaceColumn.class) @Column(length = 300) @Nullable
        Space homeSpace,

        @Nullable Boolean homeQuiet,

        @Convert(converter = HomeColumn.class) @Nullable OtherHome otherHome) {

    private static final int MOST_KINDS = 30;

    /** The strong hand. */
    public enum Hand {
        RIGHT,
        LEFT
    }

    /** A second home. @param kit as {@code homeKit}; @param space and quiet as of the first */
    public record OtherHome(
            Map<String, Integer> kit,
            @Nullable Space space,
            @Nullable Boolean quiet) {
        public OtherHome {
            kit = kit == null ? Map.of() : Map.copyOf(kit);
            Checks checks = new Checks().entries("kit", kit.keySet(), 0, MOST_KINDS);
            kit.forEach((kind, count) -> checks.text("kit", kind, 60).range("kit." + kind, count, 0, 1000));
            checks.done();
        }
    }

    public PupilDetails {
        initial = initial == null ? "" : initial.strip();
        adaptation = adaptation == null || adaptation.isBlank() ? null : adaptation.strip();
        adaptations = adaptations == null
                ? List.of()
                : adaptations.stream().distinct().sorted().toList();
        homeKit = homeKit == null ? Map.of() : Map.copyOf(homeKit);
        Checks checks = new Checks()
                .text("firstName", firstName, 40)
                .that(initial.length() <= 1, "initial", Fault.Rule.KIND, "one letter, or empty");
        if (birthYear != null) checks.range("birthYear", birthYear, 1990, 2100);
        if (shoeCm != null) checks.range("shoeCm", shoeCm, 10, 40);
        if (reachCm != null) checks.range("reachCm", reachCm, 50, 300);
        if (adaptation != null) checks.text("adaptation", adaptation, 120);
        checks.entries("homeKit", homeKit.keySet(), 0, MOST_KINDS);
        homeKit.forEach((kind, count) -> checks.text("homeKit", kind, 60).range("homeKit." + kind, count, 0, 1000));
        checks.done();
        strongHand = strongHand == null ? Hand.RIGHT : strongHand;
        firstName = firstName.strip();
    }

    /** First name and initial, all that is kept of a name. */
    String name() {
        return initial.isEmpty() ? firstName : firstName + " " + initial + ".";
    }

    /** What a helper sees: the name and the strong hand. */
    PupilDetails forHelpers() {
        return new PupilDetails(
                firstName, initial, null, strongHand, null, null, List.of(), null, Map.of(), null, null, null);
    }

    /** The same with what is at one of the homes. @param home 1 or 2 */
    public PupilDetails at(int home, Map<String, Integer> kit, Space space, Boolean quiet) {
        boolean first = home == 1;
        return new PupilDetails(
                firstName,
                initial,
                birthYear,
                strongHand,
                shoeCm,
                reachCm,
                adaptations,
                adaptation,
                first ? kit : homeKit,
                first ? space : homeSpace,
                first ? quiet : homeQuiet,
                first ? otherHome : new OtherHome(kit, space, quiet));
    }

    /** Words with commas between. */
    @Converter
    static class AdaptationsColumn implements AttributeConverter<List<Adaptation>, String> {
        @Override
        public String convertToDatabaseColumn(List<Adaptation> value) {
            return value == null ? "" : value.stream().map(Enum::name).collect(Collectors.joining(","));
        }

        @Override
        public List<Adaptation> convertToEntityAttribute(String column) {
            return column == null || column.isEmpty()
                    ? List.of()
                    : Arrays.stream(column.split(",")).map(Adaptation::valueOf).toList();
        }
    }

    /** JSON, in the order of the kinds. */
    @Converter
    static class KitColumn implements AttributeConverter<Map<String, Integer>, String> {
        @Override
        public String convertToDatabaseColumn(Map<String, Integer> value) {
            return StoredJson.write(value == null ? Map.of() : new TreeMap<>(value));
        }

        @Override
        public Map<String, Integer> convertToEntityAttribute(String column) {
            return column == null ? Map.of() : StoredJson.read(column, new TypeReference<Map<String, Integer>>() {});
        }
    }

    /** JSON. */
    @Converter
    static class SpaceColumn implements AttributeConverter<Space, String> {
        @Override
        public String convertToDatabaseColumn(Space value) {
            return value == null ? null : StoredJson.write(value);
        }

        @Override
        public Space convertToEntityAttribute(String column) {
            return column == null ? null : StoredJson.read(column, Space.class);
        }
    }

    /** JSON. */
    @Converter
    static class HomeColumn implements AttributeConverter<OtherHome, String> {
        @Override
        public String convertToDatabaseColumn(OtherHome value) {
            return value == null ? null : StoredJson.write(value);
        }

        @Override
        public OtherHome convertToEntityAttribute(String column) {
            return column == null ? null : StoredJson.read(column, OtherHome.class);
        }
    }
}
