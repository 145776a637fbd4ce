using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Readers;

/// <summary>What readers are called by those who are in a class with them: never more than the class shows.</summary>
public sealed class ClassmateNames(NpgsqlDataSource db)
{
    /// <summary>The readers of a reader's classes, this one among them, by what they are called.</summary>
    public async Task<IReadOnlyDictionary<ReaderId, string>> Of(ReaderId readerId, DateOnly today)
    {
        var rows = await db.All<(ClassId ClassId, ReaderId Id, string Given, string Family)>(
            """
            select e.class_id, r.id, r.given_name, r.family_name
            from enrolment mine
              join class c on c.id = mine.class_id
              join enrolment e on e.class_id = mine.class_id
              join reader r on r.id = e.reader_id
            where mine.reader_id = @readerId
              and mine.from_day <= @today
              and (mine.to_day is null or mine.to_day > @today)
              and e.from_day <= @today
              and (e.to_day is null or e.to_day > @today)
              and not c.closed
            limit 1000
            """,
            new { readerId, today }
        );
        return rows.GroupBy(r => r.ClassId)
            .SelectMany(g => CalledNames.Of(g.Select(r => (r.Id, r.Given, r.Family))))
            .DistinctBy(called => called.Key)
            .ToDictionary(called => called.Key, called => called.Value);
    }
}
