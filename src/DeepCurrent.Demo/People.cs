using DeepCurrent.Core.Roster;

namespace DeepCurrent.Demo;

/// <summary>The invented people of Port Ellery School.</summary>
internal static class People
{
    /// <summary>Supports that some of them have, so that every kind is seen.</summary>
    public static Supports SupportsOf(string given) =>
        given switch
        {
            "Kalea" => new(ReadAloud: true),
            "Owen" => new(MoreTime: 150),
            "Sami" => new(OneChoice: true, Retry: true),
            "Thanh" => new(ReadAloud: true, TextSize: 1),
            _ => Supports.None,
        };

    public static string? LanguageOf(string given) =>
        given switch
        {
            "Mateo" or "Rosa" or "Lupe" => "Spanish",
            "Nadia" => "Hungarian",
            "Tomas" => "Czech",
            "Emre" or "Yusuf" => "Turkish",
            "Priya" => "Malayalam",
            "Amara" => "Igbo",
            "Zofia" => "Polish",
            _ => null,
        };

    public static readonly (string Given, string Family)[] Readers =
    [
        ("Bjørn", "Haugland"),
        ("Rosa", "Quispe"),
        ("Kalea", "Mahoe"),
        ("Idris", "Bello"),
        ("Ciara", "Lynch"),
        ("Owen", "Pritchard"),
        ("Tomas", "Novak"),
        ("Nadia", "Kovacs"),
        ("Emre", "Yıldız"),
        ("Yusuf", "Demir"),
        ("Dalisay", "Reyes"),
        ("Wren", "Ashdown"),
        ("Mateo", "Rivas"),
        ("Leila", "Haddad"),
        ("Sami", "Laine"),
        ("Farah", "Aziz"),
        ("Jun", "Ishida"),
        ("Priya", "Nair"),
        ("Hana", "Suzuki"),
        ("Mina", "Petrova"),
        ("Goran", "Ilić"),
        ("Zofia", "Mazur"),
        ("Amara", "Okafor"),
        ("Abel", "Tesfaye"),
        ("Nils", "Dahl"),
        ("Aiko", "Mori"),
        ("Tariq", "Mansour"),
        ("Lupe", "Ortega"),
        ("Freya", "Lind"),
        ("Kofi", "Asante"),
        ("Anika", "Rao"),
        ("Dmitri", "Volkov"),
        ("Siobhán", "O’Hara"),
        ("Pau", "Ferrer"),
        ("Zainab", "Iqbal"),
        ("Levi", "Stone"),
        ("Thanh", "Vo"),
        ("Esther", "Mbeki"),
        ("Ivo", "Horvat"),
        ("Nour", "Saleh"),
        ("Maeve", "Doyle"),
        ("Taro", "Endo"),
        ("Ximena", "Cruz"),
        ("Elias", "Berg"),
        ("Oluchi", "Eze"),
        ("Petra", "Kranz"),
        ("Rafi", "Cohen"),
        ("Wanjiru", "Kamau"),
    ];

    public static readonly (string Given, string Family)[] Neighbours =
    [
        ("Ottilie", "Brandt"),
        ("Kaz", "Nowak"),
        ("Imani", "Barasa"),
        ("Luca", "Ferri"),
        ("Noor", "Hashmi"),
    ];
}
