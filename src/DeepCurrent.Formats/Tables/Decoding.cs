using System.Text;

namespace DeepCurrent.Formats.Tables;

/// <summary>Finds out how a text file is encoded: UTF-8 with or without mark, UTF-16, or Windows-1252.</summary>
public static class Decoding
{
    private static readonly UTF8Encoding Strict = new(
        encoderShouldEmitUTF8Identifier: false,
        throwOnInvalidBytes: true
    );
    private const int Looked = 1 << 16;
    private const double MostControls = 0.02;

    /// <summary>The encoding, and a name for it that people know.</summary>
    /// <exception cref="Unreadable">It is no text.</exception>
    public static (Encoding Encoding, string Name) Detect(ReadOnlySpan<byte> bytes)
    {
        if (bytes.StartsWith<byte>([0xEF, 0xBB, 0xBF]))
            return (Encoding.UTF8, "UTF-8");
        if (bytes.StartsWith<byte>([0xFF, 0xFE]))
            return (Encoding.Unicode, "UTF-16");
        if (bytes.StartsWith<byte>([0xFE, 0xFF]))
            return (Encoding.BigEndianUnicode, "UTF-16");
        var head = bytes[..Math.Min(bytes.Length, Looked)];
        var (even, odd) = Zeros(head);
        if (odd > head.Length / 5 && even < odd / 4)
            return (Encoding.Unicode, "UTF-16");
        if (even > head.Length / 5 && odd < even / 4)
            return (Encoding.BigEndianUnicode, "UTF-16");
        if (Controls(head) > head.Length * MostControls)
            throw new Unreadable($"This is not a text file. Save the list as CSV or XLSX and choose it again.");
        // A sign may be cut in two at the end of what is looked at.
        for (var cut = 0; cut < 4 && cut < head.Length; cut++)
            if (IsUtf8(head[..^cut]))
                return (Encoding.UTF8, "UTF-8");
        return (CodePagesEncodingProvider.Instance.GetEncoding(1252)!, "Windows-1252");
    }

    /// <summary>The text, without its byte-order mark.</summary>
    public static string Read(byte[] bytes, out string name)
    {
        (var encoding, name) = Detect(bytes);
        return encoding.GetString(bytes).TrimStart('\uFEFF');
    }

    private static bool IsUtf8(ReadOnlySpan<byte> bytes)
    {
        try
        {
            Strict.GetCharCount(bytes);
            return true;
        }
        catch (DecoderFallbackException)
        {
            return false;
        }
    }

    private static (int Even, int Odd) Zeros(ReadOnlySpan<byte> bytes)
    {
        int even = 0,
            odd = 0;
        for (var i = 0; i < bytes.Length; i++)
            if (bytes[i] == 0)
            {
                if (i % 2 == 0)
                    even++;
                else
                    odd++;
            }
        return (even, odd);
    }

    private static int Controls(ReadOnlySpan<byte> bytes)
    {
        var n = 0;
        foreach (var b in bytes)
            if (b < 0x20 && b is not ((byte)'\t' or (byte)'\r' or (byte)'\n'))
                n++;
        return n;
    }
}
