using System.Collections.Concurrent;
using System.Text;

namespace DeepCurrent.District;

/// <summary>A simulated district roster server: OneRoster 1.2 over REST, with OAuth 2 client credentials, paging, and a
/// made-up district, and its class streams. It ships so that both can be tried and tested.</summary>
public static class DistrictServer
{
    public static WebApplication Build(string[] args)
    {
        var builder = WebApplication.CreateBuilder(args);
        builder.Logging.SetMinimumLevel(LogLevel.Warning);
        var settings = builder.Configuration;
        string client = settings["District:ClientId"] ?? "deep-current",
            secret = settings["District:ClientSecret"] ?? "simulated";
        var roster = new Roster(settings.GetValue("District:Seed", 7), settings.GetValue("District:ClassSize", 12));
        var tokens = new ConcurrentDictionary<string, bool>();
        var app = builder.Build();
        app.MapPost("/token", (HttpContext http) => Token(http, $"{client}:{secret}", tokens));
        var api = Guarded("/ims/oneroster/rostering/v1p2");
        new Streams().Map(app, Guarded("/streams"));
        Serve(api, "orgs", roster.Orgs);
        Serve(api, "academicSessions", roster.Sessions);
        Serve(api, "classes", roster.Classes);
        Serve(api, "users", roster.Users);
        Serve(api, "enrollments", roster.Enrolments);
        return app;

        RouteGroupBuilder Guarded(string path)
        {
            var group = app.MapGroup(path);
            group.AddEndpointFilter(
                async (context, next) =>
                {
                    var sent = context.HttpContext.Request.Headers.Authorization.ToString();
                    return sent.StartsWith("Bearer ", StringComparison.Ordinal) && tokens.ContainsKey(sent[7..])
                        ? await next(context)
                        : Unauthorised;
                }
            );
            return group;
        }
    }

    private static readonly IResult Unauthorised = Results.Json(
        new
        {
            imsx_codeMajor = "failure",
            imsx_severity = "error",
            imsx_description = "unauthorised",
        },
        statusCode: 401
    );

    private static IResult Token(HttpContext http, string client, ConcurrentDictionary<string, bool> tokens)
    {
        var expected = "Basic " + Convert.ToBase64String(Encoding.UTF8.GetBytes(client));
        if (http.Request.Headers.Authorization != expected)
            return Results.Json(new { error = "invalid_client" }, statusCode: 401);
        var token = Guid.NewGuid().ToString("N");
        tokens[token] = true;
        return Results.Json(
            new
            {
                access_token = token,
                token_type = "Bearer",
                expires_in = 3600,
                scope = "https://purl.imsglobal.org/spec/or/v1p2/scope/roster.readonly",
            }
        );
    }

    private static void Serve(RouteGroupBuilder api, string name, List<object> rows) =>
        api.MapGet($"/{name}", (HttpContext http, int? limit, int? offset) =>
        {
            http.Response.Headers["X-Total-Count"] = rows.Count.ToString();
            return Results.Json(
                new Dictionary<string, object>
                {
                    [name] = rows.Skip(offset ?? 0).Take(Math.Clamp(limit ?? 100, 1, 1000)),
                }
            );
        });
}
