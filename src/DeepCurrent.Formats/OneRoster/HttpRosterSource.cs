using System.Globalization;
using System.IO.Compression;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;
using CsvHelper;

namespace DeepCurrent.Formats.OneRoster;

/// <param name="Address">Up to and with the version, such as https://…/ims/oneroster/rostering/v1p2; empty for
/// none.</param>
/// <param name="TokenAddress">Where tokens are given (OAuth 2 client credentials).</param>
public sealed record RosterSourceSettings(
    string Name,
    string Address,
    string TokenAddress,
    string ClientId,
    string ClientSecret
);

/// <summary>Reads a roster over the OneRoster 1.2 REST binding and lays it down as the CSV binding's zip, so that both
/// ways in are one from there on.</summary>
/// <remarks>1EdTech, OneRoster 1.2, Rostering Service REST Binding: paging by limit and offset, OAuth 2 client
/// credentials.</remarks>
public sealed class HttpRosterSource(RosterSourceSettings settings, HttpClient http) : IRosterSource
{
    private const int PageSize = 1000,
        MostRows = 2_000_000;

    private static readonly (string Path, string Property, string File, string[] Columns)[] Parts =
    [
        ("orgs", "orgs", "orgs", ["sourcedId", "status", "dateLastModified", "name", "type", "identifier"]),
        (
            "academicSessions",
            "academicSessions",
            "academicSessions",
            ["sourcedId", "status", "dateLastModified", "title", "type", "startDate", "endDate"]
        ),
        (
            "classes",
            "classes",
            "classes",
            ["sourcedId", "status", "dateLastModified", "title", "grades", "classCode", "school", "terms"]
        ),
        (
            "users",
            "users",
            "users",
            [
                "sourcedId",
                "status",
                "dateLastModified",
                "enabledUser",
                "username",
                "givenName",
                "familyName",
                "email",
                "grades",
                "preferredGivenName",
                "preferredFamilyName",
                "roles",
                "primaryOrg",
                "agents",
            ]
        ),
        (
            "enrollments",
            "enrollments",
            "enrollments",
            ["sourcedId", "status", "dateLastModified", "class", "user", "role", "beginDate", "endDate"]
        ),
    ];

    // What the REST binding nests is one column in the CSV binding.
    private static readonly Dictionary<string, string> Flat = new()
    {
        ["school"] = "schoolSourcedId",
        ["terms"] = "termSourcedIds",
        ["primaryOrg"] = "primaryOrgSourcedId",
        ["class"] = "classSourcedId",
        ["user"] = "userSourcedId",
        ["roles"] = "role",
        ["agents"] = "agentSourcedIds",
    };

    public string? Name => settings.Address.Length == 0 ? null : settings.Name;

    public async Task<byte[]> Fetch(CancellationToken stop)
    {
        if (settings.Address.Length == 0)
            throw new Unreadable($"No roster source is set up.");
        try
        {
            var token = await Token(stop);
            using var body = new MemoryStream();
            using (var zip = new ZipArchive(body, ZipArchiveMode.Create, leaveOpen: true))
            {
                foreach (var part in Parts)
                    await Part(zip, part.Path, part.Property, part.File, part.Columns, token, stop);
                await Manifest(zip);
            }
            return body.ToArray();
        }
        catch (Exception e)
            when (e is HttpRequestException or JsonException or KeyNotFoundException or InvalidOperationException
                || (e is TaskCanceledException && !stop.IsCancellationRequested)
            )
        {
            throw new Unreadable(
                $"{settings.Name} did not answer as a OneRoster server should. Nothing was changed. Try again later."
            );
        }
    }

    private async Task Manifest(ZipArchive zip)
    {
        await using var text = new StreamWriter(zip.CreateEntry("manifest.csv").Open());
        await using var csv = new CsvWriter(text, CultureInfo.InvariantCulture);
        IEnumerable<(string, string)> rows =
        [
            ("propertyName", "value"),
            ("oneroster.version", "1.2"),
            ("source.systemName", settings.Name),
            .. Parts.Select(p => ($"file.{p.File}", "bulk")),
        ];
        foreach (var (property, value) in rows)
        {
            csv.WriteField(property);
            csv.WriteField(value);
            await csv.NextRecordAsync();
        }
    }

    private Task<string> Token(CancellationToken stop) =>
        ClientCredentials.Token(
            http,
            new(
                settings.TokenAddress,
                settings.ClientId,
                settings.ClientSecret,
                "https://purl.imsglobal.org/spec/or/v1p2/scope/roster.readonly"
            ),
            stop
        );

    private async Task Part(
        ZipArchive zip,
        string path,
        string property,
        string file,
        string[] columns,
        string token,
        CancellationToken stop
    )
    {
        await using var text = new StreamWriter(zip.CreateEntry(file + ".csv", CompressionLevel.Fastest).Open());
        await using var csv = new CsvWriter(text, CultureInfo.InvariantCulture);
        foreach (var column in columns)
            csv.WriteField(Flat.GetValueOrDefault(column, column));
        await csv.NextRecordAsync();
        for (var offset = 0; offset < MostRows; offset += PageSize)
        {
            using var request = new HttpRequestMessage(
                HttpMethod.Get,
                $"{settings.Address.TrimEnd('/')}/{path}?limit={PageSize}&offset={offset}"
            );
            request.Headers.Authorization = new AuthenticationHeaderValue("Bearer", token);
            using var response = await http.SendAsync(request, stop);
            response.EnsureSuccessStatusCode();
            using var page = JsonDocument.Parse(await response.Content.ReadAsStreamAsync(stop));
            var rows = page.RootElement.GetProperty(property);
            foreach (var row in rows.EnumerateArray())
            {
                foreach (var column in columns)
                    csv.WriteField(row.TryGetProperty(column, out var value) ? Value(value) : "");
                await csv.NextRecordAsync();
            }
            if (rows.GetArrayLength() < PageSize)
                return;
        }
    }

    private static string Value(JsonElement value) =>
        value.ValueKind switch
        {
            JsonValueKind.Object => value.TryGetProperty("role", out var role)
                ? role.GetString() ?? ""
                : value.GetProperty("sourcedId").GetString() ?? "",
            // A user's roles come with the primary one marked; the CSV has room for one here.
            JsonValueKind.Array
                when value
                    .EnumerateArray()
                    .FirstOrDefault(v =>
                        v.ValueKind == JsonValueKind.Object
                        && v.TryGetProperty("roleType", out var type)
                        && type.GetString() == "primary"
                    )
                    is { ValueKind: JsonValueKind.Object } primary => Value(primary),
            JsonValueKind.Array => string.Join(',', value.EnumerateArray().Select(Value)),
            JsonValueKind.Null or JsonValueKind.Undefined => "",
            _ => value.ToString(),
        };
}
