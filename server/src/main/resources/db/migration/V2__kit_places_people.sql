-- A space is kept whole, as the core's Place in JSON.
alter table space add column place text;
update space set place =
    '{"size":{"lengthM":' || cast(length_m as varchar(40)) ||
    ',"widthM":' || cast(width_m as varchar(40)) ||
    ',"ceilingM":' || coalesce(cast(ceiling_m as varchar(40)), 'null') ||
    ',"wall":' || case when wall_run_m is null then 'null'
        else '{"runM":' || cast(wall_run_m as varchar(40)) || ',"depthM":' || cast(wall_depth_m as varchar(40)) || '}' end ||
    '},"surface":"' || upper(surface) || '"}';
alter table space alter column place set not null;
alter table space drop column surface;
alter table space drop column length_m;
alter table space drop column width_m;
alter table space drop column ceiling_m;
alter table space drop column wall_run_m;
alter table space drop column wall_depth_m;

-- What the school has: the core's KitKind with its count and condition, in JSON.
create table kit_item (
    id uuid primary key,
    name varchar(60) not null,
    body text not null,
    version bigint not null
);

create table stand_in (
    id uuid primary key,
    of_kind varchar(60) not null,
    by_kind varchar(60) not null,
    changes varchar(200) not null,
    version bigint not null
);

alter table pupil add column adaptations varchar(200) default '' not null;
alter table pupil add column home_kit varchar(2000) default '{}' not null;
alter table pupil add column home_space varchar(300);

alter table account add column active boolean default true not null;
alter table account add column version bigint default 0 not null;
