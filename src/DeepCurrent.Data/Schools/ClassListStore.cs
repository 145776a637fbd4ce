using Dapper;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Schools;

/// <summary>A class as the school lead sees it.</summary>
/// <param name="Never">Readers who have never signed in.</param>
public sealed record SchoolClass(
    ClassId Id,
    string Name,
    string Code,
    string YearName,
    string Teachers,
    int Readers,
    int Never,
    bool Closed,
    bool FromSource
);

/// <summary>All classes of a school.</summary>
public sealed class ClassListStore(NpgsqlDataSource db)
{
    public async Task<IReadOnlyList<SchoolClass>> Of(SchoolId schoolId)
    {
        return await db.All<SchoolClass>(
            $"""
            select c.id, c.name, c.code, y.name as year_name, coalesce(t.names, '') as teachers,
              coalesce(r.n, 0)::int as readers, coalesce(r.never, 0)::int as never, c.closed,
              c.source_id is not null as from_source
            from class c join school_year y on y.id = c.school_year_id
            left join (
              select p.class_id, string_agg(a.name, ', ' order by {ClassParts.ByRank("p.role")}, a.name, a.id) as names
              from class_adult p join adult a on a.id = p.adult_id
              where a.school_id = @schoolId
              group by p.class_id) t on t.class_id = c.id
            left join (
              select e.class_id, count(*) as n, count(*) filter (where r.signed_in_at is null) as never
              from enrolment e join reader r on r.id = e.reader_id
              where r.school_id = @schoolId and e.to_day is null
              group by e.class_id) r on r.class_id = c.id
            where c.school_id = @schoolId
            order by c.closed, c.name, c.id
            limit 10000
            """,
            new { schoolId }
        );
    }
}
