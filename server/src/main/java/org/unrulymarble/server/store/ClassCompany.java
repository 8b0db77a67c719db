package org.unrulymarble.server.store;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unrulymarble.core.check.Checks;
import org.unrulymarble.core.check.Fault;
import org.unrulymarble.core.rotation.Company;
import org.unrulymarble.core.rotation.Groups;
import org.unrulymarble.server.platform.Erased;
import org.unrulymarble.server.platform.Moved;

/** Who is better apart in groups and pairs of a class, and who belongs together: seen and said by its teacher alone. */
@Service
@Transactional
public class ClassCompany implements Moved, Erased {

    private static final int MOST = 200;

    private final CompanyRows rows;
    private final ClassAccess access;

    ClassCompany(CompanyRows rows, ClassAccess access) {
        this.rows = rows;
        this.access = access;
    }

    /** @param apart pairs of pupils' ids, as {@code together}; 0 to 200 each */
    public record CompanyDoc(List<List<UUID>> apart, List<List<UUID>> together) {
        public CompanyDoc {
            new Checks()
                    .entries("apart", apart, 0, MOST)
                    .entries("together", together, 0, MOST)
                    .done();
        }
    }

    @Transactional(readOnly = true)
    CompanyDoc see(UUID classId) {
        access.teach(classId);
        return doc(classId);
    }

    CompanyDoc keep(UUID classId, CompanyDoc doc) {
        Set<UUID> here = access.teach(classId).pupils().stream().map(Pupil::id).collect(Collectors.toSet());
        check("apart", doc.apart(), here);
        check("together", doc.together(), here);
        Set<Set<UUID>> both = new HashSet<>();
        doc.apart().forEach(pair -> both.add(Set.copyOf(pair)));
        new Checks()
                .that(
                        doc.together().stream().noneMatch(pair -> both.contains(Set.copyOf(pair))),
                        "together",
                        Fault.Rule.KIND,
                        "two who are not to be apart")
                .done();
        rows.deleteOfClass(classId);
        doc.apart().forEach(pair -> rows.save(new CompanyRow(classId, pair, true)));
        doc.together().forEach(pair -> rows.save(new CompanyRow(classId, pair, false)));
        return doc;
    }

    private static void check(String field, List<List<UUID>> pairs, Collection<UUID> here) {
        Checks checks = new Checks();
        for (int i = 0; i < pairs.size(); i++) {
            List<UUID> pair = pairs.get(i);
            checks.that(
                    pair != null && pair.size() == 2 && !pair.get(0).equals(pair.get(1)) && here.containsAll(pair),
                    field + "[" + i + "]",
                    Fault.Rule.KIND,
                    "two pupils of this class");
        }
        checks.done();
    }

    /** For plans of a class, whose access whoever calls has made sure of. @param met who were together in groups before */
    @Transactional(readOnly = true)
    public Company of(UUID classId, List<Groups.Met> met) {
        CompanyDoc doc = doc(classId);
        return new Company(ids(doc.apart()), ids(doc.together()), met);
    }

    private CompanyDoc doc(UUID classId) {
        List<CompanyRow> all = rows.findByClassIdOrderById(classId);
        return new CompanyDoc(pairs(all, true), pairs(all, false));
    }

    private static List<List<UUID>> pairs(List<CompanyRow> all, boolean apart) {
        return all.stream()
                .filter(r -> r.isApart() == apart)
                .map(CompanyRow::pair)
                .toList();
    }

    private static List<List<String>> ids(List<List<UUID>> pairs) {
        return pairs.stream().map(p -> p.stream().map(UUID::toString).toList()).toList();
    }

    @Override
    public Map<String, Long> kept(Set<UUID> classIds, UUID pupilId, String name) {
        return Map.of("apart or together", (long) rows.ofPupil(pupilId).size());
    }

    @Override
    public void erase(Set<UUID> classIds, UUID pupilId, String name) {
        rows.deleteOfPupil(pupilId);
    }

    /** In another class there are others. */
    @Override
    public void move(UUID pupilId, UUID fromClassId, UUID toClassId) {
        rows.deleteOfPupil(pupilId);
    }
}
