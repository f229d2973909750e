<?php

declare(strict_types=1);

/*
 * A name in each of sixty languages, made up, as it would stand on a class list.
 */
return [
    'Afrikaans' => 'Anneke van der Spuy', 'Albanian' => 'Çelik Hoxhaj-Përmeti', 'Amharic' => 'አበበ ተስፋዬ', 'Arabic' => 'نورة السبيعي', 'Armenian' => 'Անահիտ Հովսեփյան',
    'Azerbaijani' => 'Əsgər Məmmədzadə', 'Basque' => 'Ñabarra Etxeberri', 'Belarusian' => 'Ўладзіслава Карась', 'Bengali' => 'সুমিতা চট্টোপাধ্যায়', 'Bosnian' => 'Đemal Šehić',
    'Bulgarian' => 'Щилян Жеков', 'Burmese' => 'မြတ်စု ခင်ခင်', 'Catalan' => 'Núria Col·lell', 'Chinese' => '欧阳小龍', 'Croatian' => 'Krešimir Kovač',
    'Czech' => 'Řehoř Dvořáč', 'Danish' => 'Åse Kjærgård', 'Dutch' => "Fleur in 't Veld", 'English' => 'Siân O’Rourke-Pugh', 'Estonian' => 'Õnne Pärnpuu',
    'Filipino' => 'Niño dela Peña', 'Finnish' => 'Äijä Yrjölä', 'French' => 'Maëlys L’Hôpital', 'Galician' => 'Xoán Loureiró', 'Georgian' => 'ნინო ჯაფარიძე',
    'German' => 'Jürg Weißenböck', 'Greek' => 'Αγλαΐα Παπαδοπούλου', 'Gujarati' => 'કૃપા ઝવેરી', 'Hausa' => 'Ƙanƙani Ɓoɗɗo', 'Hawaiian' => 'Kaʻiulani Kealiʻi',
    'Hebrew' => 'רָחֵל בן־דוד', 'Hindi' => 'नेहा शर्मा', 'Hungarian' => 'Győző Őrhegyi', 'Icelandic' => 'Sóley Þórðardóttir', 'Igbo' => 'Ọlụchi Ụzọma',
    'Indonesian' => 'Wulan', 'Irish' => 'Tadhg Ó Súilleabháin', 'Italian' => 'Niccolò Dell’Aquilà', 'Japanese' => '髙橋 さくら', 'Kannada' => 'ಕೃಷ್ಣವೇಣಿ ರಾವ್',
    'Kazakh' => 'Әсел Қайыртайқызы', 'Khmer' => 'សុភា ចាន់', 'Korean' => '남궁 이준', 'Kurdish' => 'Şêrko Çiyayî', 'Lao' => 'ສົມພອນ ແກ້ວ',
    'Latvian' => 'Ķirsis Bērziņš', 'Lithuanian' => 'Žydrūnė Gėlytė', 'Malayalam' => 'ശ്രീദേവി നമ്പൂതിരി', 'Maltese' => 'Ġorġ Ħaż-Żebbuġi', 'Māori' => 'Whetū Tūhoe',
    'Mongolian' => 'Өнөрмаа Цэцэг', 'Norwegian' => 'Bjørg Ødegård', 'Pashto' => 'ځوان ښاغلی', 'Persian' => 'مینا یزدان‌پناه', 'Polish' => 'Świętosława Żądło',
    'Portuguese' => 'João Assunção', 'Punjabi' => 'ਗੁਰਲੀਨ ਕੌਰ', 'Romanian' => 'Ștefăniță Țurcanu', 'Russian' => 'Мирослава Тимченкоё', 'Sinhala' => "ශ්\u{200D}රී විජේසිංහ",
    'Slovak' => 'Ľubomíra Ďurišová', 'Somali' => 'Xaawo Cabdiraxmaan', 'Spanish' => 'Íñigo Zubizarreta Í', 'Swedish' => 'Åke Öberg', 'Tamil' => 'செல்வி முருகன்',
    'Telugu' => 'శ్రీవల్లి రెడ్డి', 'Thai' => 'กัญญารัตน์ ศรีสุข', 'Tibetan' => 'བསོད་ནམས་ལྷ་མོ', 'Tigrinya' => 'ሰላም ገብረ', 'Turkish' => 'İpek Işıkçı',
    'Ukrainian' => 'Їжакевич Ґалаґан', 'Urdu' => 'عائشہ قریشی', 'Uzbek' => 'Oʻgʻiloy Gʻaniyeva', 'Vietnamese' => 'Nguyễn Thị Ngọc Ánh', 'Welsh' => 'Gwenllian Tŷ-Gwyn', 'Yoruba' => 'Ọláwálé Ẹ̀ṣọ́',
];
