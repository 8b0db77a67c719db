package org.unrulymarble.core.ladder;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.check.Fields;
import org.unrulymarble.core.check.Mapping;
import org.unrulymarble.core.kit.KitKind;
import org.unrulymarble.core.kit.KitKinds;
import org.unrulymarble.core.kit.KitProperty;
import org.unrulymarble.core.kit.KitRole;
import org.unrulymarble.core.kit.StandIn;

/** What tasks need, as files have it; they name kinds by ids that must be known. */
final class KitMappings {

    private static final Map<String, Object> KIND_ID = Map.of(
            "type",
            "string",
            "minLength",
            1,
            "maxLength",
            60,
            "description",
            "Id of a kind of kit that the school knows.");

    private final KitKinds kinds;
    final Mapping<KitRole> role;

    KitMappings(KitKinds kinds) {
        this.kinds = kinds;
        role = new RoleMapping(this);
    }

    /** Null, and said, for what is no kind of kit. */
    private KitKind kind(Fields f, String field) {
        String id = f.text(field);
        return kinds.kind(id == null ? "" : id).orElseGet(() -> f.wrong(field, Fault.Rule.UNKNOWN, String.valueOf(id)));
    }

    private List<String> ids(Fields f, String field) {
        List<String> ids = f.texts(field);
        if (ids != null)
            for (int i = 0; i < ids.size(); i++)
                if (kinds.kind(ids.get(i)).isEmpty())
                    f.wrong(field + "[" + i + "]", Fault.Rule.UNKNOWN, String.valueOf(ids.get(i)));
        return ids;
    }

    private static Map<String, Object> kindId(Map<String, Object> named) {
        named.putIfAbsent("kindId", KIND_ID);
        return Map.of("$ref", "#/$defs/kindId");
    }

    /** A mapping that names kinds. */
    abstract static class NamingKinds<T> extends Mapping<T> {

        private final KitMappings kits;

        NamingKinds(KitMappings kits, String name) {
            super(name, null);
            this.kits = kits;
        }

        final Entry<T, KitKind> kind(String field, Function<T, String> get) {
            return add(field, (f, name) -> kits.kind(f, name), get, KitMappings::kindId);
        }

        final Entry<T, List<String>> kinds(String field, Function<T, List<String>> get) {
            return add(field, (f, name) -> kits.ids(f, name), get, named -> list(kindId(named)));
        }
    }

    private static final class StandInMapping extends NamingKinds<StandIn> {
        private final Entry<StandIn, KitKind> kind = kind("kind", StandIn::kind).must();
        private final Entry<StandIn, String> changes =
                text("changes", StandIn::changes).upTo(200).must();

        StandInMapping(KitMappings kits) {
            super(kits, null);
        }

        @Override
        protected StandIn from(Fields f) {
            KitKind is = kind.of(f);
            String changed = changes.of(f);
            return is == null ? null : new StandIn(is.id(), is.name(), changed, is.make(), is.makeMin());
        }
    }

    private static final class RoleMapping extends NamingKinds<KitRole> {
        private final Entry<KitRole, String> role = text("role", KitRole::role)
                .upTo(30)
                .must()
                .says("The part it plays; a ball is called ball, balls or second ball.");
        private final Entry<KitRole, KitKind> kind = kind("kind", KitRole::kind).must();
        private final Entry<KitRole, String> what =
                text("what", KitRole::what).upTo(80).says("How this task calls it; the kind's name if absent.");
        private final Entry<KitRole, Integer> perSpot =
                whole("perSpot", KitRole::perSpot).range(1, 40);
        private final Entry<KitRole, List<KitProperty>> needs =
                words("needs", KitProperty.class, KitRole::needs).entries(0, KitProperty.values().length);
        private final Entry<KitRole, List<StandIn>> standIns;
        private final Entry<KitRole, List<String>> refused;

        RoleMapping(KitMappings kits) {
            super(kits, "kitRole");
            standIns = parts("standIns", new StandInMapping(kits), KitRole::standIns)
                    .entries(0, 20)
                    .says("In order of preference.");
            refused = kinds("refused", KitRole::refused).entries(0, 40);
        }

        @Override
        protected KitRole from(Fields f) {
            KitKind best = kind.of(f);
            String called = what.of(f);
            return new KitRole(
                    role.of(f),
                    best == null ? null : best.id(),
                    called == null && best != null ? best.name() : called,
                    perSpot.of(f, 1),
                    needs.of(f),
                    standIns.of(f),
                    refused.of(f));
        }
    }
}
