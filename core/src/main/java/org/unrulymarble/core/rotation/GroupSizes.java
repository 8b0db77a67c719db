package org.unrulymarble.core.rotation;

/**
 * So many pupils in so many groups, sizes one apart at most.
 *
 * @param base size of the smaller groups
 * @param larger how many hold one more
 */
record GroupSizes(int groups, int base, int larger) {

    GroupSizes(int pupils, int groups) {
        this(groups, pupils / groups, pupils % groups);
    }

    /** Pupils in the first groups, of which so many are larger. */
    int placed(int firstGroups, int largerOnes) {
        return firstGroups * base + largerOnes;
    }
}
