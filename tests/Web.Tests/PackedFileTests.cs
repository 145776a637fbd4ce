using System.IO.Compression;
using System.Text;
using Microsoft.AspNetCore.Hosting;

namespace Web.Tests;

/// <summary>Files of the pages that lie packed beside themselves.</summary>
[Collection("application")]
public sealed class PackedFileTests(Harness harness) : IDisposable
{
    private readonly string root = Directory.CreateTempSubdirectory("deep-current-pages").FullName;

    public void Dispose() => Directory.Delete(root, recursive: true);

    private static byte[] Brotli(string text)
    {
        using var bytes = new MemoryStream();
        using (var packing = new BrotliStream(bytes, CompressionLevel.SmallestSize, leaveOpen: true))
            packing.Write(Encoding.UTF8.GetBytes(text));
        return bytes.ToArray();
    }

    private static async Task<string> Unpacked(HttpResponseMessage response)
    {
        await using var packed = new BrotliStream(
            await response.Content.ReadAsStreamAsync(),
            CompressionMode.Decompress
        );
        using var reader = new StreamReader(packed);
        return await reader.ReadToEndAsync();
    }

    [Fact]
    public async Task A_packed_file_goes_to_whoever_takes_it_and_the_plain_one_to_everybody_else()
    {
        var assets = Directory.CreateDirectory(Path.Combine(root, "assets")).FullName;
        await File.WriteAllTextAsync(Path.Combine(assets, "a.js"), "plain()");
        await File.WriteAllBytesAsync(Path.Combine(assets, "a.js.br"), Brotli("packed()"));
        await File.WriteAllTextAsync(Path.Combine(assets, "b.css"), "b {}");
        await File.WriteAllBytesAsync(Path.Combine(assets, "b.css.br"), Brotli("b {}"));
        await using var instance = harness.Another(b => b.UseWebRoot(root));
        using var client = instance.CreateClient();
        async Task<HttpResponseMessage> Get(string path, string takes)
        {
            using var request = new HttpRequestMessage(HttpMethod.Get, path);
            request.Headers.TryAddWithoutValidation("Accept-Encoding", takes);
            return await client.SendAsync(request);
        }

        var packed = await Get("/assets/a.js", "gzip, br");
        packed.Content.Headers.ContentEncoding.ShouldBe(["br"]);
        packed.Content.Headers.ContentType!.MediaType.ShouldBe("text/javascript");
        packed.Headers.CacheControl!.MaxAge.ShouldBe(TimeSpan.FromDays(365));
        (await Unpacked(packed)).ShouldBe("packed()");
        (await Get("/assets/b.css", "br")).Content.Headers.ContentType!.MediaType.ShouldBe("text/css");
        foreach (var takes in new[] { "identity", "br;q=0" })
        {
            var plain = await Get("/assets/a.js", takes);
            plain.Content.Headers.ContentEncoding.ShouldBeEmpty(takes);
            (await plain.Content.ReadAsStringAsync()).ShouldBe("plain()");
        }
    }
}
