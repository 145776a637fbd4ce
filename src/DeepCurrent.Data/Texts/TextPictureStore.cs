using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Texts;

/// <summary>The picture of a text.</summary>
/// <param name="Description">What it shows.</param>
public sealed record TextPicture(string Type, byte[] Bytes, string Description);

/// <summary>The pictures that stand for texts: on homes, tiles and first pages.</summary>
public sealed class TextPictureStore(NpgsqlDataSource db)
{
    /// <summary>Gives a text a picture; the same again changes nothing.</summary>
    /// <param name="slug">Of a text that ships.</param>
    public Task PutShipped(string slug, TextPicture picture) =>
        db.Run(
            """
            insert into text_picture (text_id, type, bytes, description)
            select id, @Type, @Bytes, @Description from text where slug = @slug and school_id is null
            on conflict (text_id) do update
            set type = excluded.type, bytes = excluded.bytes, description = excluded.description
            where (text_picture.bytes, text_picture.description) is distinct from (excluded.bytes, excluded.description)
            """,
            new
            {
                slug,
                picture.Type,
                picture.Bytes,
                picture.Description,
            }
        );

    public Task Put(TextId textId, TextPicture picture) =>
        db.Run(
            """
            insert into text_picture (text_id, type, bytes, description) values (@textId, @Type, @Bytes, @Description)
            on conflict (text_id) do update
            set type = excluded.type, bytes = excluded.bytes, description = excluded.description
            """,
            new
            {
                textId,
                picture.Type,
                picture.Bytes,
                picture.Description,
            }
        );

    public Task Remove(TextId textId) => db.Run("delete from text_picture where text_id = @textId", new { textId });

    /// <summary>The picture of a text that a school may see.</summary>
    public Task<TextPicture?> Of(TextId textId, SchoolId schoolId) =>
        db.One<TextPicture>(
            """
            select p.type, p.bytes, p.description
            from text_picture p join text t on t.id = p.text_id
            where p.text_id = @textId and (t.school_id is null or t.school_id = @schoolId)
            """,
            new { textId, schoolId }
        );

    /// <summary>What the pictures of some texts show; those without one are left out.</summary>
    public async Task<IReadOnlyDictionary<TextId, string>> Shown(IReadOnlyCollection<TextId> texts) =>
        (
            await db.All<(TextId Id, string Description)>(
                "select text_id, description from text_picture where text_id = any(@texts) limit 5000",
                new { texts = texts.ToArray() }
            )
        ).ToDictionary(x => x.Id, x => x.Description);
}
