using System.Text.Json.Nodes;
using Npgsql;

namespace DeepCurrent.Bench.Load;

/// <param name="Work">Questions that are not answered yet, with their tickets.</param>
public sealed record LoadReader(LoadClient Client, Guid Id, Queue<(Guid Ticket, Guid Question)> Work);

/// <summary>A school in which everybody has much to answer: made through the application, signed in, with what there is
/// to answer read from the database.</summary>
public sealed class LoadSchool
{
    private const int Classes = 30,
        Texts = 36,
        MostAtOnce = 20;
    private const string Password = "low water at nine";

    public required LoadClient Teacher { get; init; }
    public required IReadOnlyList<string> ClassIds { get; init; }
    public required IReadOnlyList<LoadReader> Readers { get; init; }

    public static async Task<LoadSchool> Make(HttpClient http, string connection, int readers)
    {
        var teacher = await FirstRun(http, "Large School");
        var texts = (await teacher.Json(HttpMethod.Get, "/api/library?questions=true"))["rows"]!
            .AsArray()
            .Where(r => (int)r!["questions"]! >= 5)
            .Take(Texts)
            .Select(r => (string)r!["id"]!)
            .ToList();
        var classIds = new List<string>();
        var signIns = new List<(string Code, string Id, string Secret)>();
        for (var k = 0; k < Classes; k++)
        {
            var (id, added) = await Class(teacher, k, (readers + Classes - 1 - k) / Classes, texts);
            classIds.Add(id);
            signIns.AddRange(added);
        }
        var clients = await SignedIn(http, signIns, await Work(connection));
        return new()
        {
            Teacher = teacher,
            ClassIds = classIds,
            Readers = clients,
        };
    }

    /// <summary>The first run of an installation: a school and its lead, signed in.</summary>
    public static async Task<LoadClient> FirstRun(HttpClient http, string school)
    {
        var teacher = new LoadClient(http);
        await teacher.Renew();
        string Day(int days) => DateTime.UtcNow.AddDays(days).ToString("yyyy-MM-dd");
        await teacher.Json(
            HttpMethod.Post,
            "/api/first-run",
            new
            {
                schoolName = school,
                timeZone = "Europe/London",
                name = "Lead",
                userName = "lead",
                password = Password,
                yearFirstDay = Day(-60),
                yearLastDay = Day(240),
            }
        );
        await teacher.Renew();
        return teacher;
    }

    private static async Task<(string Id, IEnumerable<(string Code, string Id, string Secret)> SignIns)> Class(
        LoadClient teacher,
        int k,
        int readers,
        IReadOnlyList<string> texts
    )
    {
        var id = (string)(await teacher.Json(HttpMethod.Post, "/api/classes", new { name = $"Room {k + 1}" }))["id"]!;
        var rows = Enumerable
            .Range(0, readers)
            .Select(i => new
            {
                givenName = $"Given{i}",
                familyName = $"Family{k}",
                grade = "4",
                level = $"{20 + i % 25} fm",
            });
        var added = (
            await teacher.Json(HttpMethod.Post, $"/api/classes/{id}/list/apply", new { rows, levelSystem = "" })
        )["added"]!.AsArray();
        var code = (string)(await teacher.Json(HttpMethod.Get, $"/api/classes/{id}"))["code"]!;
        foreach (var some in texts.Chunk(MostAtOnce))
            await teacher.Json(
                HttpMethod.Post,
                $"/api/classes/{id}/assignments",
                new
                {
                    readerIds = added.Select(a => (string)a!["readerId"]!),
                    attempts = 2,
                    skipGiven = false,
                    texts = some.Select(t => new { id = Guid.NewGuid(), textId = t }),
                }
            );
        return (id, added.Select(a => (code, (string)a!["readerId"]!, (string)a["secret"]!)));
    }

    private static async Task<LoadReader[]> SignedIn(
        HttpClient http,
        IReadOnlyList<(string Code, string Id, string Secret)> signIns,
        Dictionary<Guid, Queue<(Guid, Guid)>> work
    )
    {
        var clients = new LoadReader[signIns.Count];
        await Parallel.ForAsync(0, signIns.Count, new ParallelOptions { MaxDegreeOfParallelism = 4 }, async (i, _) =>
        {
            var (code, id, secret) = signIns[i];
            var client = new LoadClient(http);
            await client.SignIn(
                "/api/session/reader",
                new
                {
                    code,
                    readerId = id,
                    secret,
                }
            );
            clients[i] = new(client, Guid.Parse(id), work[Guid.Parse(id)]);
        });
        return clients;
    }

    private static async Task<Dictionary<Guid, Queue<(Guid, Guid)>>> Work(string connection)
    {
        var work = new Dictionary<Guid, Queue<(Guid, Guid)>>();
        await using var c = new NpgsqlConnection(connection);
        await c.OpenAsync();
        // The table of pairs is what pgbench puts answers to.
        await using var q = new NpgsqlCommand(
            """
            create table bench_pair as
            select row_number() over ()::int as n, k.reader_id, k.id as ticket_id, q.id as question_id
            from ticket k
              join assignment a on a.id = k.assignment_id
              join question q on q.text_id = a.text_id and q.kind = 'Single' and not q.retired and q.place is null
            order by k.reader_id, k.id, q.position;
            create unique index on bench_pair (n);
            create sequence bench_turn cache 100;
            analyze;
            select reader_id, ticket_id, question_id from bench_pair order by n
            """,
            c
        );
        await using var r = await q.ExecuteReaderAsync();
        while (await r.ReadAsync())
        {
            if (!work.TryGetValue(r.GetGuid(0), out var mine))
                work[r.GetGuid(0)] = mine = [];
            mine.Enqueue((r.GetGuid(1), r.GetGuid(2)));
        }
        return work;
    }
}
