namespace DeepCurrent.Demo;

/// <summary>The invented people of Port Ellery School.</summary>
internal static class People
{
    public static readonly (string Given, string Family)[] Readers =
    [
        ("Bjørn", "Haugland"), ("Rosa", "Quispe"), ("Kalea", "Mahoe"), ("Idris", "Bello"), ("Ciara", "Lynch"), ("Owen", "Pritchard"), ("Tomas", "Novak"), ("Nadia", "Kovacs"),
        ("Emre", "Yıldız"), ("Yusuf", "Demir"), ("Dalisay", "Reyes"), ("Wren", "Ashdown"), ("Mateo", "Rivas"), ("Leila", "Haddad"), ("Sami", "Laine"), ("Farah", "Aziz"),
        ("Jun", "Ishida"), ("Priya", "Nair"), ("Hana", "Suzuki"), ("Mina", "Petrova"), ("Goran", "Ilić"), ("Zofia", "Mazur"), ("Amara", "Okafor"), ("Abel", "Tesfaye"),
        ("Nils", "Dahl"), ("Aiko", "Mori"), ("Tariq", "Mansour"), ("Lupe", "Ortega"), ("Freya", "Lind"), ("Kofi", "Asante"), ("Anika", "Rao"), ("Dmitri", "Volkov"),
        ("Siobhán", "O’Hara"), ("Pau", "Ferrer"), ("Zainab", "Iqbal"), ("Levi", "Stone"), ("Thanh", "Vo"), ("Esther", "Mbeki"), ("Ivo", "Horvat"), ("Nour", "Saleh"),
        ("Maeve", "Doyle"), ("Taro", "Endo"), ("Ximena", "Cruz"), ("Elias", "Berg"), ("Oluchi", "Eze"), ("Petra", "Kranz"), ("Rafi", "Cohen"), ("Wanjiru", "Kamau"),
    ];
}
