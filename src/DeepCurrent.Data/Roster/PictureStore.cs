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

    /// <summary>Keeps the pictures of those who are in a class now. Whoever was in it and had chosen one of them gets
    /// another should they come back.</summary>
    public async Task Keep(ClassId classId, IReadOnlyDictionary<ReaderId, string> pictures)
    {
        await db.Run(
            """
            delete from class_picture
            where class_id = @classId and (reader_id = any(@readers) or picture = any(@pictures));
            insert into class_picture (class_id, reader_id, picture)
            select @classId, x.reader, x.picture from unnest(@readers, @pictures) as x(reader, picture)
            """,
            new
            {
                classId,
                readers = pictures.Keys.Select(r => r.Value).ToArray(),
                pictures = pictures.Values.ToArray(),
            }
        );
    }
}
