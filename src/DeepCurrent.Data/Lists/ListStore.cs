using Dapper;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Lists;

/// <summary>A list of readers a teacher keeps.</summary>
/// <param name="Filter">What makes its members, for a list that keeps itself; null for one made by hand.</param>
public sealed record ReaderList(
    ReaderListId Id,
    string Name,
    string Mark,
    string Note,
    int Position,
    string? Filter,
    ReaderId[] ReaderIds
);

/// <summary>Lists of readers: by hand, from a selection, or by a filter.</summary>
public sealed class ListStore(NpgsqlDataSource db)
{
    public async Task<IReadOnlyList<ReaderList>> Of(ClassId classId)
    {
        var lists = await db.All<ListFlat>(
            """
            select l.id, l.name, l.mark, l.note, l.position, l.filter::text,
              coalesce(
                (
                  select string_agg(m.reader_id::text, ' ' order by m.position)
                  from reader_list_member m
                    join enrolment e on e.reader_id = m.reader_id and e.class_id = l.class_id and e.to_day is null
                  where m.list_id = l.id),
                '') as readers
            from reader_list l
            where l.class_id = @classId
            order by l.position, l.made_at
            limit 100
            """,
            new { classId }
        );
        return [.. lists.Select(l => l.List())];
    }

    private sealed record ListFlat(
        ReaderListId Id,
        string Name,
        string Mark,
        string Note,
        int Position,
        string? Filter,
        string Readers
    )
    {
        public ReaderList List() =>
            new(
                Id,
                Name,
                Mark,
                Note,
                Position,
                Filter,
                [.. Readers.Split(' ', Empty).Select(id => ReaderId.From(Guid.Parse(id)))]
            );

        private const StringSplitOptions Empty = StringSplitOptions.RemoveEmptyEntries;
    }

    private const string PutSql = """
        insert into reader_list (id, class_id, name, mark, note, position, filter, made_at)
        values (@Id, @classId, @Name, @Mark, @Note, @Position, @Filter::jsonb, @now)
        on conflict (id) do update
        set name = excluded.name, mark = excluded.mark, note = excluded.note, position = excluded.position,
          filter = excluded.filter
        where reader_list.class_id = @classId
        """;

    private const string MembersSql = """
        delete from reader_list_member where list_id = @Id;
        insert into reader_list_member (list_id, reader_id, position)
        select @Id, x.id, x.n
        from unnest(@ReaderIds) with ordinality x(id, n)
        where exists (
          select 1 from enrolment e where e.reader_id = x.id and e.class_id = @classId and e.to_day is null)
        on conflict do nothing
        """;

    /// <summary>Writes a list as it is to be; readers who are not in the class are left out.</summary>
    public async Task Put(ClassId classId, ReaderList list, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var written = await c.ExecuteAsync(
            PutSql,
            new
            {
                list.Id,
                classId,
                list.Name,
                list.Mark,
                list.Note,
                list.Position,
                list.Filter,
                now,
            },
            t
        );
        if (written == 0)
            return;
        await c.ExecuteAsync(
            MembersSql,
            new
            {
                list.Id,
                list.ReaderIds,
                classId,
            },
            t
        );
        await t.CommitAsync();
    }

    public async Task Remove(ReaderListId id, ClassId classId)
    {
        await db.Run("delete from reader_list where id = @id and class_id = @classId", new { id, classId });
    }
}
