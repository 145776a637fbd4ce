using Dapper;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Texts;

public sealed record Picture(PictureId Id, string Type, byte[] Bytes);

/// <summary>Pictures of the texts of a school.</summary>
public sealed class PictureStore(NpgsqlDataSource db)
{
    public async Task Add(Picture picture, SchoolId schoolId, DateTimeOffset now)
    {
        await db.Run(
            "insert into picture (id, school_id, type, bytes, created_at) values (@Id, @schoolId, @Type, @Bytes, @now)",
            new
            {
                picture.Id,
                picture.Type,
                picture.Bytes,
                schoolId,
                now,
            }
        );
    }

    public async Task<Picture?> Find(PictureId id, SchoolId schoolId)
    {
        return await db.One<Picture>(
            "select id, type, bytes from picture where id = @id and school_id = @schoolId",
            new { id, schoolId }
        );
    }
}
