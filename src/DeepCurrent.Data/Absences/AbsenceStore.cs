using System.Text.Json.Serialization;
using DeepCurrent.Core.Absences;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Absences;

/// <summary>An absence, and who wrote it down.</summary>
/// <param name="By">Null where they have gone.</param>
public sealed record AbsenceRow(AbsenceId Id, DateOnly FromDay, DateOnly ToDay, string Reason, string? By)
{
    [JsonIgnore]
    public Absence Absence => new(Id, FromDay, ToDay, Reason);
}

/// <summary>Days readers were not at school.</summary>
public sealed class AbsenceStore(NpgsqlDataSource db)
{
    /// <summary>One reader's, the latest first.</summary>
    public Task<IReadOnlyList<AbsenceRow>> Of(ReaderId readerId) =>
        db.All<AbsenceRow>(
            """
            select b.id, b.from_day, b.to_day, b.reason, a.name as "by"
            from absence b left join adult a on a.id = b.set_by
            where b.reader_id = @readerId and b.removed_at is null
            order by b.from_day desc, b.id
            limit 200
            """,
            new { readerId }
        );

    /// <summary>The days readers of a class were away, or will be, from a day on.</summary>
    public async Task<IReadOnlyDictionary<ReaderId, IReadOnlySet<DateOnly>>> Days(ClassId classId, DateOnly since)
    {
        var rows = await db.All<(ReaderId Reader, AbsenceId Id, DateOnly From, DateOnly To)>(
            """
            select b.reader_id, b.id, b.from_day, b.to_day
            from absence b
              join enrolment e on e.reader_id = b.reader_id and e.class_id = @classId and e.to_day is null
            where b.removed_at is null and b.to_day >= @since
            limit 5000
            """,
            new { classId, since }
        );
        return rows.ToLookup(b => b.Reader, b => new Absence(b.Id, b.From, b.To, ""))
            .ToDictionary(g => g.Key, Absence.DaysOf);
    }

    /// <summary>Writes an absence down; again, it is changed, and one that was removed is there again.</summary>
    /// <returns>False where it is another reader's.</returns>
    public async Task<bool> Put(ReaderId readerId, Absence absence, AdultId by, DateTimeOffset now) =>
        await db.Run(
            """
            insert into absence (id, reader_id, from_day, to_day, reason, set_by, set_at)
            values (@Id, @readerId, @From, @To, @Reason, @by, @now)
            on conflict (id) do update
            set from_day = excluded.from_day, to_day = excluded.to_day, reason = excluded.reason, set_by = excluded.set_by,
              set_at = excluded.set_at, removed_at = null
            where absence.reader_id = @readerId
            """,
            new
            {
                absence.Id,
                readerId,
                absence.From,
                absence.To,
                absence.Reason,
                by,
                now,
            }
        ) > 0;

    /// <returns>False where there is none.</returns>
    public async Task<bool> Remove(ReaderId readerId, AbsenceId id, DateTimeOffset now) =>
        await db.Run(
            """
            update absence
            set removed_at = coalesce(removed_at, @now)
            where id = @id and reader_id = @readerId
            """,
            new
            {
                id,
                readerId,
                now,
            }
        ) > 0;
}
