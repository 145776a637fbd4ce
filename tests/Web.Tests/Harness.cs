using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text.Json;
using System.Text.Json.Nodes;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Guardians;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.SignIn;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.DependencyInjection;
using Npgsql;

namespace Web.Tests;

/// <summary>The application on a real port, with a real database that can be cut off. One school with two teachers, and
/// another school.</summary>
public sealed class Harness : IAsyncLifetime
{
    public const string Password = "a long enough password";
    public const int FreeTries = 40;
    private readonly Dictionary<string, Person> teachers = [];
    private WebApplicationFactory<Program>? factory,
        second;
    private Func<WebApplicationFactory<Program>>? instance;

    private Microsoft.AspNetCore.Builder.WebApplication? district;

    /// <summary>The simulated listening device; its mood can be set.</summary>
    public Microsoft.AspNetCore.Builder.WebApplication Device { get; private set; } = null!;

    private Microsoft.AspNetCore.Builder.WebApplication? speaking;

    public Forwarder Line { get; private set; } = null!;

    public IServiceProvider Services => factory!.Services;

    public Uri Address => factory!.ClientOptions.BaseAddress;

    /// <summary>The folder of recordings the listening device was prepared for.</summary>
    public string Known { get; } = Directory.CreateTempSubdirectory("deep-current-known").FullName;

    /// <summary>Address of the simulated district: its roster server and its class streams.</summary>
    public string District => district!.Urls.First();

    public string Root { get; } = Shipped.Root;

    public async Task InitializeAsync()
    {
        var database = new NpgsqlConnectionStringBuilder(
            Environment.GetEnvironmentVariable("DEEPCURRENT_TEST_DATABASE")
                ?? throw new InvalidOperationException("Run these through ./test, which makes the database.")
        );
        await Emptied(database.ConnectionString);
        Line = new(database.Port);
        database.Port = Line.Port;
        database.Timeout = 5;
        district = DeepCurrent.District.DistrictServer.Build(["--urls", "http://127.0.0.1:0"]);
        await district.StartAsync();
        var source = district.Urls.First();
        Device = DeepCurrent.Listener.ListenerServer.Build(["--urls", "http://127.0.0.1:0", "--Listener:Known", Known]);
        await Device.StartAsync();
        speaking = DeepCurrent.Voice.VoiceServer.Build(["--urls", "http://127.0.0.1:0"]);
        await speaking.StartAsync();
        instance = () => Instance(database.ConnectionString, source);
        factory = Started();
        var first = await new Person(this).Post(
            "/api/first-run",
            new
            {
                schoolName = "Harbour School",
                timeZone = "Europe/London",
                name = "Ana",
                userName = "ana",
                password = Password,
                yearFirstDay = Today.AddDays(-80),
                yearLastDay = Today.AddDays(220),
            }
        );
        first.EnsureSuccessStatusCode();
        await Others();
    }

    private static async Task Emptied(string database)
    {
        await using var c = new NpgsqlConnection(database);
        await c.OpenAsync();
        await using var fresh = new NpgsqlCommand("drop schema public cascade; create schema public", c);
        await fresh.ExecuteNonQueryAsync();
    }

    private WebApplicationFactory<Program> Instance(string database, string source) =>
        new WebApplicationFactory<Program>().WithWebHostBuilder(b =>
            b.UseSetting("ConnectionStrings:DeepCurrent", database)
                .UseSetting("Content:Folder", Path.Combine(Root, "content"))
                .UseSetting("SignIn:FreeTriesOfAnAddress", "100000")
                .UseSetting("SignIn:FreeTries", FreeTries.ToString(System.Globalization.CultureInfo.InvariantCulture))
                .UseSetting("Listener:Address", Device.Urls.First())
                .UseSetting("Listener:Seconds", "2")
                .UseSetting("Voice:Address", speaking!.Urls.First())
                .UseSetting("Voice:Ahead", "false")
                .UseSetting("RosterSource:Name", "District")
                .UseSetting("RosterSource:Address", $"{source}/ims/oneroster/rostering/v1p2")
                .UseSetting("RosterSource:TokenAddress", $"{source}/token")
                .UseSetting("RosterSource:ClientId", "deep-current")
                .UseSetting("RosterSource:ClientSecret", "simulated")
                .UseSetting("ClassStream:Name", "Class stream")
                .UseSetting("ClassStream:Address", $"{source}/streams")
                .UseSetting("ClassStream:TokenAddress", $"{source}/token")
                .UseSetting("ClassStream:ClientId", "deep-current")
                .UseSetting("ClassStream:ClientSecret", "simulated")
        );

    /// <summary>Two colleagues of Ana's, and another school with its lead.</summary>
    private async Task Others()
    {
        var schools = Services.GetRequiredService<SchoolStore>();
        var adults = Services.GetRequiredService<AdultStore>();
        var ana = (await adults.Find("ana"))!;
        await adults.Add(new(AdultId.New(), ana.SchoolId, "Ben", "ben", Hashed));
        await adults.Add(new(AdultId.New(), ana.SchoolId, "Dina", "dina", Hashed));
        var hill = new School
        {
            Id = SchoolId.New(),
            Name = "Hill School",
            TimeZone = "Europe/London",
            UnderstoodFrom = .6,
            ZoneLow = .7,
            ZoneHigh = .9,
            MinutesADay = 15,
        };
        await schools.Create(
            hill,
            new(AdultId.New(), hill.Id, "Cleo", "cleo", Hashed, Lead: true),
            new(YearId.New(), "", Today.AddDays(-80), Today.AddDays(220), [], [], new(hill.TimeZone)),
            DateTimeOffset.UtcNow,
            onlyIfNone: false
        );
    }

    private WebApplicationFactory<Program> Started(string? address = null)
    {
        var started = instance!();
        if (address is not null)
            started = started.WithWebHostBuilder(b => b.UseSetting("urls", address));
        started.UseKestrel(0);
        started.StartServer();
        return started;
    }

    /// <summary>One more instance on the same database, set otherwise.</summary>
    public WebApplicationFactory<Program> Another(Action<IWebHostBuilder> set) => instance!().WithWebHostBuilder(set);

    /// <summary>A balancer before two instances: each connection goes to the one whose turn it is.</summary>
    public Forwarder Balancer()
    {
        second ??= Started("http://127.0.0.1:0");
        return new(factory!.ClientOptions.BaseAddress.Port, second.ClientOptions.BaseAddress.Port);
    }

    public async Task DisposeAsync()
    {
        if (second is not null)
            await second.DisposeAsync();
        if (factory is not null)
            await factory.DisposeAsync();
        if (district is not null)
            await district.DisposeAsync();
        if (Device is not null)
            await Device.DisposeAsync();
        if (speaking is not null)
            await speaking.DisposeAsync();
        Directory.Delete(Known, recursive: true);
        Line.Dispose();
    }

    public static DateOnly Today => DateOnly.FromDateTime(DateTime.UtcNow);

    public async Task<Person> Teacher(string userName)
    {
        if (teachers.TryGetValue(userName, out var known))
            return known;
        var person = new Person(this);
        (await person.Post("/api/session/adult", new { userName, password = Password })).EnsureSuccessStatusCode();
        return teachers[userName] = person;
    }

    /// <summary>The password as it is kept. Made once: making it is meant to be slow.</summary>
    public string Hashed => hashed ??= Services.GetRequiredService<Secrets>().Hash(Password);

    private string? hashed;

    /// <summary>A school with a lead who is signed in.</summary>
    public async Task<(Person Lead, SchoolId SchoolId, string UserName)> OwnSchool()
    {
        var userName = $"lead-{Guid.NewGuid():N}";
        var school = new School
        {
            Id = SchoolId.New(),
            Name = $"School {userName[5..11]}",
            TimeZone = "Europe/London",
            UnderstoodFrom = .6,
            ZoneLow = .7,
            ZoneHigh = .9,
            MinutesADay = 15,
        };
        var yearId = YearId.New();
        DateOnly first = Today.AddDays(-80),
            last = Today.AddDays(220);
        await Services
            .GetRequiredService<SchoolStore>()
            .Create(
                school,
                new(AdultId.New(), school.Id, "Lea", userName, Hashed, Lead: true),
                new(
                    yearId,
                    "This year",
                    first,
                    last,
                    YearCalendar.Thirds(yearId, first, last),
                    [],
                    new(school.TimeZone)
                ),
                DateTimeOffset.UtcNow,
                onlyIfNone: false
            );
        return (await Teacher(userName), school.Id, userName);
    }

    /// <summary>A class of Ana's with some readers, each with the pictures they sign in with.</summary>
    public async Task<Room> Room(Person teacher, int readers)
    {
        var id = (string)
            (await teacher.Posted("/api/classes", new { name = "Room " + Guid.NewGuid().ToString("N")[..6] }))["id"]!;
        var made = new List<(string, string)>();
        for (var i = 0; i < readers; i++)
        {
            var added = await teacher.Posted(
                $"/api/classes/{id}/readers",
                new
                {
                    givenName = $"Reader{i}",
                    familyName = "Test",
                    grade = 4,
                    level = 28 + 2 * i % 40,
                }
            );
            made.Add(((string)added["id"]!, (string)added["secret"]!));
        }
        return new(id, (string)(await teacher.Get($"/api/classes/{id}"))["code"]!, made);
    }

    /// <summary>Somebody who registered as a reader's guardian, by the code of a printed letter and the mail that
    /// followed.</summary>
    public async Task<Person> Guardian(Person teacher, string classId, string readerId, string? mail = null)
    {
        (
            await teacher.Send(HttpMethod.Get, $"/api/classes/{classId}/print/Letters.pdf?readers={readerId}")
        ).EnsureSuccessStatusCode();
        var code = await Services
            .GetRequiredService<GuardianStore>()
            .Open([ReaderId.From(Guid.Parse(readerId))], DateTimeOffset.UtcNow);
        var address = mail ?? $"{Guid.NewGuid():N}@example.org";
        var person = new Person(this);
        (
            await person.Post(
                "/api/guardian/register",
                new
                {
                    code = Services.GetRequiredService<Secrets>().Open(code[0].Secret),
                    name = "Guardian",
                    mail = address,
                    password = Password,
                }
            )
        ).EnsureSuccessStatusCode();
        (
            await person.Post("/api/guardian/confirm", new { token = await MailedToken(address) })
        ).EnsureSuccessStatusCode();
        (
            await person.Post("/api/session/adult", new { userName = address, password = Password })
        ).EnsureSuccessStatusCode();
        return person;
    }

    /// <summary>The token in the link of the last mail to somebody.</summary>
    public async Task<string> MailedToken(string address)
    {
        var body = await Ask<string>(
            "select body from mail where to_address = $1 order by made_at desc limit 1",
            address
        );
        return System.Text.RegularExpressions.Regex.Match(body!, "#(\\S+)").Groups[1].Value;
    }

    /// <summary>One value straight from the database.</summary>
    public async Task<T?> Ask<T>(string sql, params object[] values)
    {
        await using var c = await Services.GetRequiredService<NpgsqlDataSource>().OpenConnectionAsync();
        await using var q = new NpgsqlCommand(sql, c);
        foreach (var value in values)
            q.Parameters.Add(new() { Value = value });
        return await q.ExecuteScalarAsync() is T found ? found : default;
    }

    public async Task<Person> Reader(Room room, int i)
    {
        var person = new Person(this);
        (
            await person.Post(
                "/api/session/reader",
                new
                {
                    code = room.Code,
                    readerId = room.Readers[i].Id,
                    secret = room.Readers[i].Secret,
                }
            )
        ).EnsureSuccessStatusCode();
        return person;
    }
}

public sealed record Room(string Id, string Code, IReadOnlyList<(string Id, string Secret)> Readers);

/// <summary>Somebody with a browser: cookies, and the token every change needs.</summary>
public sealed class Person
{
    private readonly Harness harness;
    private readonly CookieContainer cookies = new();
    private readonly HttpClient http;

    /// <param name="balancer">Where they come by a balancer: every request on a line of its own.</param>
    public Person(Harness harness, Forwarder? balancer = null)
    {
        this.harness = harness;
        http = new(new SocketsHttpHandler { CookieContainer = cookies, UseCookies = true })
        {
            BaseAddress = balancer is null ? harness.Address : new($"http://localhost:{balancer.Port}"),
        };
        http.DefaultRequestHeaders.ConnectionClose = balancer is not null;
    }

    /// <summary>A live line, as a page of this person opens it.</summary>
    public Task<LiveLine> Watch(string classId) => LiveLine.Open(http.BaseAddress!, cookies, classId);

    /// <summary>Somebody who has the same cookies.</summary>
    public Person Copy()
    {
        var copy = new Person(harness);
        foreach (Cookie cookie in cookies.GetAllCookies())
            copy.cookies.Add(new Cookie(cookie.Name, cookie.Value, cookie.Path, cookie.Domain));
        return copy;
    }

    private async Task<string> Token() => (string)JsonNode.Parse(await http.GetStringAsync("/api/session"))!["token"]!;

    /// <summary>The token this browser was given last, as a page keeps it.</summary>
    private string? known;

    public async Task<HttpResponseMessage> Send(
        HttpMethod method,
        string path,
        object? body = null,
        bool token = true,
        IReadOnlyDictionary<string, string>? headers = null,
        HttpContent? content = null
    )
    {
        if (!token || method == HttpMethod.Get)
            return await Sent(null);
        // What can be sent only once is sent with a new one.
        if (content is not null)
            return await Sent(await Token());
        var first = await Sent(known ??= await Token());
        if (first.StatusCode is not HttpStatusCode.BadRequest)
            return first;
        if (!(await first.Content.ReadAsStringAsync()).Contains("\"stale-page\"", StringComparison.Ordinal))
            return first;
        return await Sent(known = await Token());

        async Task<HttpResponseMessage> Sent(string? with)
        {
            using var request = new HttpRequestMessage(method, path) { Content = content ?? ContentOf(body) };
            foreach (var (name, value) in headers ?? new Dictionary<string, string>())
                request.Headers.Add(name, value);
            if (with is not null)
                request.Headers.Add("X-XSRF-TOKEN", with);
            // Asked first, so that a body that is refused is not sent into a closed line.
            if (body is byte[] { Length: > 1 << 20 })
                request.Headers.ExpectContinue = true;
            return await http.SendAsync(request);
        }
    }

    private static HttpContent? ContentOf(object? body) =>
        body switch
        {
            null => null,
            byte[] bytes => new ByteArrayContent(bytes) { Headers = { ContentType = new("application/octet-stream") } },
            _ => JsonContent.Create(body),
        };

    /// <summary>Sends work from a device whose clock shows something; the work itself says when it was done by the same
    /// clock.</summary>
    public Task<HttpResponseMessage> FromDevice(HttpMethod method, string path, object body, DateTimeOffset clock) =>
        Send(method, path, body, headers: new Dictionary<string, string> { ["X-Sent-At"] = clock.ToString("O") });

    public Task<HttpResponseMessage> Post(string path, object? body = null) => Send(HttpMethod.Post, path, body);

    public Task<HttpResponseMessage> Put(string path, object? body = null) => Send(HttpMethod.Put, path, body);

    /// <summary>A file as it is sent.</summary>
    public Task<byte[]> Raw(string path) => http.GetByteArrayAsync(path);

    public async Task<JsonNode> Get(string path) => await Json(await http.GetAsync(path));

    /// <summary>What a post that is taken answers.</summary>
    public async Task<JsonNode> Posted(string path, object? body = null) => await Json(await Post(path, body));

    /// <summary>What a put that is taken answers.</summary>
    public async Task<JsonNode> Stored(string path, object? body = null) => await Json(await Put(path, body));

    public async Task<JsonNode> Json(HttpResponseMessage response)
    {
        var text = await response.Content.ReadAsStringAsync();
        response.IsSuccessStatusCode.ShouldBeTrue(text);
        return JsonNode.Parse(text)!;
    }

    public async Task<JsonNode> Problem(HttpResponseMessage response, int status)
    {
        var text = await response.Content.ReadAsStringAsync();
        ((int)response.StatusCode).ShouldBe(status, text);
        return JsonNode.Parse(text)!;
    }

    /// <summary>The code a refusal is known by.</summary>
    public async Task<string> Code(HttpResponseMessage response, int status) =>
        (string)(await Problem(response, status))["code"]!;
}

/// <summary>A line that can be cut and mended. With several ends, each new connection goes to the next.</summary>
public sealed class Forwarder : IDisposable
{
    private readonly int[] targets;
    private readonly List<Socket> open = [];
    private int turn;
    private TcpListener? listener;

    public Forwarder(params int[] targets)
    {
        this.targets = targets;
        listener = new(IPAddress.Loopback, 0);
        listener.Start();
        Port = ((IPEndPoint)listener.LocalEndpoint).Port;
        _ = Accept(listener);
    }

    public int Port { get; }

    public void Cut()
    {
        lock (open)
        {
            listener?.Stop();
            listener = null;
            open.ForEach(s => s.Close());
            open.Clear();
        }
    }

    public void Mend()
    {
        listener = new(IPAddress.Loopback, Port);
        listener.Server.SetSocketOption(SocketOptionLevel.Socket, SocketOptionName.ReuseAddress, true);
        listener.Start();
        _ = Accept(listener);
    }

    public void Dispose() => Cut();

    private async Task Accept(TcpListener from)
    {
        try
        {
            while (true)
            {
                var near = await from.AcceptSocketAsync();
                var far = new Socket(SocketType.Stream, ProtocolType.Tcp) { NoDelay = true };
                near.NoDelay = true;
                await far.ConnectAsync(IPAddress.Loopback, targets[turn++ % targets.Length]);
                lock (open)
                {
                    // Taken just before the line was cut: it goes the way of the others.
                    if (listener != from)
                        near.Close();
                    else
                        open.AddRange([near, far]);
                }
                _ = Pump(near, far);
                _ = Pump(far, near);
            }
        }
        catch (Exception e) when (e is SocketException or ObjectDisposedException or InvalidOperationException) { }
    }

    private static async Task Pump(Socket from, Socket to)
    {
        var buffer = new byte[16384];
        try
        {
            for (int n; (n = await from.ReceiveAsync(buffer)) > 0; )
                await to.SendAsync(buffer.AsMemory(0, n));
        }
        catch (Exception e) when (e is SocketException or ObjectDisposedException) { }
        finally
        {
            from.Close();
            to.Close();
        }
    }
}

[CollectionDefinition("application")]
public sealed class ApplicationCollection : ICollectionFixture<Harness>;

/// <summary>Sentences as the server sends them.</summary>
public static class SaidByServer
{
    private static readonly JsonSerializerOptions Web = new(JsonSerializerDefaults.Web);

    /// <summary>A sentence in English.</summary>
    public static string Said(this JsonNode message) => message.Deserialize<Message>(Web)!.ToString();
}
