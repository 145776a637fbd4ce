using System.Text;

namespace DeepCurrent.District;

/// <summary>A simulated district roster server: OneRoster 1.2 over REST, with OAuth 2 client credentials, paging, and a
/// made-up district. It ships so that fetching a roster can be tried and tested.</summary>
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
        var tokens = new HashSet<string>();
        var app = builder.Build();

        app.MapPost("/token", (HttpContext http) =>
        {
            var expected = "Basic " + Convert.ToBase64String(Encoding.UTF8.GetBytes($"{client}:{secret}"));
            if (http.Request.Headers.Authorization != expected)
                return Results.Json(new { error = "invalid_client" }, statusCode: 401);
            var token = Guid.NewGuid().ToString("N");
            lock (tokens)
                tokens.Add(token);
            return Results.Json(
                new
                {
                    access_token = token,
                    token_type = "Bearer",
                    expires_in = 3600,
                    scope = "https://purl.imsglobal.org/spec/or/v1p2/scope/roster.readonly",
                }
            );
        });

        var api = app.MapGroup("/ims/oneroster/rostering/v1p2");
        api.AddEndpointFilter(
            async (context, next) =>
            {
                var sent = context.HttpContext.Request.Headers.Authorization.ToString();
                lock (tokens)
                    if (!sent.StartsWith("Bearer ", StringComparison.Ordinal) || !tokens.Contains(sent[7..]))
                        return Results.Json(
                            new
                            {
                                imsx_codeMajor = "failure",
                                imsx_severity = "error",
                                imsx_description = "unauthorised",
                            },
                            statusCode: 401
                        );
                return await next(context);
            }
        );
        void Serve(string name, List<object> rows) =>
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
        Serve("orgs", roster.Orgs);
        Serve("academicSessions", roster.Sessions);
        Serve("classes", roster.Classes);
        Serve("users", roster.Users);
        Serve("enrollments", roster.Enrolments);
        return app;
    }
}
