using Dapper;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Schools;

/// <summary>A school year in a list.</summary>
/// <param name="Classes">Classes in it.</param>
public sealed record YearHead(
    YearId Id,
    string Name,
    DateOnly FirstDay,
    DateOnly LastDay,
    int Classes,
    int OpenClasses
);

/// <summary>School years, their terms and days off.</summary>
public sealed class YearStore(NpgsqlDataSource db)
{
    public async Task<IReadOnlyList<YearHead>> Of(SchoolId schoolId)
    {
        return await db.All<YearHead>(
            """
            select y.id, y.name, y.first_day, y.last_day, count(k.id)::int as classes,
              (count(k.id) filter (where not k.closed))::int as open_classes
            from school_year y left join class k on k.school_year_id = y.id
            where y.school_id = @schoolId
            group by y.id
            order by y.first_day desc
            limit 50
            """,
            new { schoolId }
        );
    }

    /// <summary>A year of this school; null if it is none of theirs.</summary>
    public async Task<YearCalendar?> Find(YearId yearId, SchoolId schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await c.ExecuteScalarAsync<bool>(
            "select exists (select 1 from school_year where id = @yearId and school_id = @schoolId)",
            new { yearId, schoolId }
        )
            ? await SchoolStore.Year(c, yearId)
            : null;
    }

    public async Task Add(SchoolId schoolId, YearCalendar year, YearId? rolledFrom)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await Add(c, t, schoolId, year, rolledFrom);
        await t.CommitAsync();
    }

    /// <summary>Writes a year's name, dates, terms and days off. Terms keep their ids, so that goals stay with them; a
    /// term that has goals is not taken away.</summary>
    /// <returns>Null, or the name of the term that goals stand in the way of.</returns>
    public async Task<string?> Change(YearCalendar year)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var ids = year.Terms.Select(x => x.Id).ToArray();
        var held = await c.ExecuteScalarAsync<string?>(
            """
            select t.name
            from term t
            where t.school_year_id = @Id and t.id <> all(@ids) and exists (select 1 from goal g where g.term_id = t.id)
            limit 1
            """,
            new { year.Id, ids },
            t
        );
        if (held is not null)
            return held;
        await c.ExecuteAsync(
            """
            update school_year set name = @Name, first_day = @FirstDay, last_day = @LastDay where id = @Id;
            delete from term where school_year_id = @Id and id <> all(@ids);
            delete from day_off where school_year_id = @Id
            """,
            new
            {
                year.Id,
                year.Name,
                year.FirstDay,
                year.LastDay,
                ids,
            },
            t
        );
        await Parts(c, t, year);
        await t.CommitAsync();
        return null;
    }

    internal static async Task Add(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        SchoolId schoolId,
        YearCalendar year,
        YearId? rolledFrom = null
    )
    {
        var name = year.Name.Length > 0 ? year.Name : $"{year.FirstDay.Year}–{year.LastDay.Year}";
        await c.ExecuteAsync(
            """
            insert into school_year (id, school_id, name, first_day, last_day, rolled_from)
            values (@Id, @schoolId, @name, @FirstDay, @LastDay, @rolledFrom)
            """,
            new
            {
                year.Id,
                schoolId,
                name,
                year.FirstDay,
                year.LastDay,
                rolledFrom,
            },
            t
        );
        await Parts(c, t, year);
    }

    private static async Task Parts(NpgsqlConnection c, NpgsqlTransaction t, YearCalendar year)
    {
        foreach (var term in year.Terms)
            await c.ExecuteAsync(
                """
                insert into term (id, school_year_id, name, first_day, last_day)
                values (@Id, @SchoolYearId, @Name, @FirstDay, @LastDay)
                on conflict (id) do update
                set name = excluded.name, first_day = excluded.first_day, last_day = excluded.last_day
                """,
                term,
                t
            );
        await c.ExecuteAsync(
            "insert into day_off (school_year_id, day) select @Id, d from unnest(@days) d on conflict do nothing",
            new { year.Id, days = year.DaysOff.ToArray() },
            t
        );
    }
}
