namespace DeepCurrent.Formats.Sounds;

/// <summary>Tells sounds that browsers play from other files, by how they begin and not by what they are
/// called.</summary>
public static class SoundFile
{
    /// <summary>The media type of a sound.</summary>
    /// <returns>Null for what is none, or none that browsers play.</returns>
    public static string? TypeOf(ReadOnlySpan<byte> file)
    {
        if (file.Length < 12)
            return null;
        if (file.StartsWith("RIFF"u8) && file[8..].StartsWith("WAVE"u8))
            return "audio/wav";
        if (file.StartsWith("OggS"u8))
            return "audio/ogg";
        if (file.StartsWith((ReadOnlySpan<byte>)[0x1A, 0x45, 0xDF, 0xA3]))
            return "audio/webm";
        if (file[4..].StartsWith("ftyp"u8))
            return "audio/mp4";
        if (file.StartsWith("ID3"u8) || (file[0] == 0xFF && (file[1] & 0xE6) is 0xE2))
            return "audio/mpeg";
        return null;
    }
}
