using Microsoft.AspNetCore.StaticFiles;
using Microsoft.Net.Http.Headers;

namespace DeepCurrent.Web.Hosting;

/// <summary>Gives out what lies packed beside a file of the pages, to whoever takes it so: nothing is packed while it is
/// asked for, and it is smaller than what could be packed in time.</summary>
internal static class PackedFiles
{
    private const string Brotli = "br",
        Ending = ".br";

    /// <summary>What files are by their endings, packed ones too.</summary>
    public static readonly FileExtensionContentTypeProvider Types = With(Ending, "application/octet-stream");

    private static FileExtensionContentTypeProvider With(string ending, string type)
    {
        var known = new FileExtensionContentTypeProvider();
        known.Mappings[ending] = type;
        return known;
    }

    /// <summary>Leads a request for a file to the one that lies packed beside it.</summary>
    public static void UsePackedFiles(this WebApplication app)
    {
        var files = app.Environment.WebRootFileProvider;
        app.Use(
            (http, next) =>
            {
                var path = http.Request.Path.Value ?? "";
                if (
                    path.StartsWith("/assets/", StringComparison.Ordinal)
                    && !path.EndsWith(Ending, StringComparison.Ordinal)
                    && Takes(http.Request)
                    && files.GetFileInfo(path + Ending).Exists
                )
                {
                    http.Request.Path = path + Ending;
                    http.Response.Headers.Append(HeaderNames.Vary, HeaderNames.AcceptEncoding);
                }
                return next(http);
            }
        );
    }

    /// <summary>Says of a packed file what it is when it is unpacked.</summary>
    public static void Say(HttpContext http)
    {
        var path = http.Request.Path.Value ?? "";
        if (!path.EndsWith(Ending, StringComparison.Ordinal))
            return;
        http.Response.Headers.ContentEncoding = Brotli;
        http.Response.ContentType = path.EndsWith(".css" + Ending, StringComparison.Ordinal)
            ? "text/css"
            : "text/javascript";
    }

    private static bool Takes(HttpRequest request) =>
        request.GetTypedHeaders().AcceptEncoding.Any(e => e.Value == Brotli && e.Quality is null or > 0);
}
