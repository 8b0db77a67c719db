package org.unrulymarble.server.disk;

import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

@Configuration
class DiskConfig {

    /** Whether the data lies in a PostgreSQL, which looks after it, and not in a file of ours. */
    static final String ELSEWHERE = "#{'${spring.datasource.url}'.startsWith('jdbc:postgresql:')}";

    @Bean
    StoreFile storeFile(@Value("${marble.data}") Path folder, @Value("${marble.store}") String store) {
        return new StoreFile(folder, store);
    }

    @Bean
    Backups backups(StoreFile file, Clock clock) {
        return file.backups(System.getenv(), clock);
    }

    @Bean
    FreeSpace freeSpace() {
        // Each tap asks. Which disk a folder lies on is looked up in the machine's whole list, so it is remembered.
        Map<Path, FileStore> disks = new ConcurrentHashMap<>();
        return folder -> {
            FileStore disk = disks.get(folder);
            if (disk == null) disks.put(folder, disk = Files.getFileStore(folder));
            return new FreeSpace.Of(disk.getUsableSpace(), disk.getTotalSpace());
        };
    }
}
