using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace DeepCurrent.Cli;

/// <summary>Input that cannot be used, and where in the document it stands.</summary>
public sealed class BadInput(string message, string path) : Exception(message)
{
    public string Path { get; } = path;
}

/// <summary>Runs a compute command: reads one document, writes one JSON document, or one line that names the field that
/// is wrong.</summary>
public static class Compute
{
    public const int BadInputExit = 2;

    public static int Run(Func<TextReader, JsonObject> command, Stream input, TextWriter output, TextWriter error)
    {
        try
        {
            using var reader = new StreamReader(input, new UTF8Encoding(false, throwOnInvalidBytes: true));
            output.WriteLine(command(reader).ToJsonString(Plain));
            return 0;
        }
        catch (BadInput bad)
        {
            return Refuse(error, bad.Message, bad.Path);
        }
        catch (DecoderFallbackException)
        {
            return Refuse(error, "The input is not UTF-8.", "");
        }
    }

    private static readonly JsonSerializerOptions Plain = new()
    {
        Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    private static int Refuse(TextWriter error, string message, string path)
    {
        error.WriteLine(new JsonObject { ["error"] = message, ["path"] = path }.ToJsonString(Plain));
        return BadInputExit;
    }
}
