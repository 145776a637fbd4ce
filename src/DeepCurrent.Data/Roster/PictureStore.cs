using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Roster;

/// <summary>The pictures by which readers of a class find their names.</summary>
public sealed class PictureStore(NpgsqlDataSource db)
{
    /// <summary>A picture for everybody who is or was in a class.</summary>
    public async Task<IReadOnlyDictionary<ReaderId, string>> Of(ClassId classId)
    {
        var readers = await db.All<(ReaderId Id, string? Chosen)>(
            """
            select e.reader_id, p.picture
            from enrolment e left join class_picture p on p.class_id = e.class_id and p.reader_id = e.reader_id
            where e.class_id = @classId
            group by e.reader_id, p.picture
            order by min(e.from_day), e.reader_id
            """,
            new { classId }
        );
        return ClassPictures.Of([.. readers]);
    }

    public async Task Choose(ClassId classId, ReaderId readerId, string picture)
    {
        await db.Run(
            """
            insert into class_picture (class_id, reader_id, picture) values (@classId, @readerId, @picture)
            on conflict (class_id, reader_id) do update set picture = excluded.picture
            """,
            new
            {
                classId,
                readerId,
                picture,
            }
        );
    }
}
