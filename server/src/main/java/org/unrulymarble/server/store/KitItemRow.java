package org.unrulymarble.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.unrulymarble.core.kit.Kit;

/** One line of the kit store. */
@Entity
@Table(name = "kit_item")
class KitItemRow {

    @Id
    private UUID id;

    private String name;

    /** The core's Kit.Held as JSON: always read and written whole. */
    @JdbcTypeCode(SqlTypes.LONGVARCHAR)
    private String body;

    @Version
    private long version;

    protected KitItemRow() {}

    KitItemRow(UUID id, Kit.Held held) {
        this.id = id;
        change(held);
    }

    final void change(Kit.Held held) {
        name = held.kind().name();
        body = StoredJson.write(held);
    }

    UUID id() {
        return id;
    }

    long version() {
        return version;
    }

    Kit.Held held() {
        return StoredJson.read(body, Kit.Held.class);
    }
}
