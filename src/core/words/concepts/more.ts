/** Terms of further languages by concept: Greek; Russian and Ukrainian; Bulgarian; Romanian; Croatian, Serbian and Slovenian. */
export const MORE: Readonly<Record<string, string>> = {
  'intangible-cost':
    'ασωματες ακινητοποιησεις, αυλα παγια, λογισμικο; нематериальные активы, нематеріальні активи; нематериални активи; imobilizari necorporale, programe informatice, concesiuni brevete; nematerijalna imovina, softver, licence, neopredmetena sredstva',
  'intangible-depreciation':
    'αποσβεσμενες ασωματες; амортизация нематериальных активов; амортизация на нематериални активи; amortizarea imobilizarilor necorporale; akumulirana amortizacija nematerijalne imovine',
  'land-cost':
    'γηπεδα, κτιρια, οικοπεδα, ακινητα; здания, сооружения, земельные участки, будівлі; сгради, земи, земя; terenuri, cladiri, constructii; zemljiste, gradevinski objekti, zgrade, nekretnine, poslovni prostor zgrade',
  'land-depreciation':
    'birikmis amortismanlar binalar; cumulatieve afschrijving gebouwen; αποσβεσμενα κτιρια; амортизация зданий; амортизация на сгради; amortizarea constructiilor; ispravak vrijednosti gradevina, popravek vrednosti zgradb',
  'plant-cost':
    'μηχανηματα, τεχνικες εγκαταστασεις, εξοπλισμος; оборудование, машины и оборудование, основные средства оборудование, обладнання; машини, съоръжения, машини и оборудване; echipamente tehnologice, instalatii tehnice, utilaje, masini; strojevi, postrojenja i oprema, oprema, masine, stroji',
  'plant-depreciation':
    'birikmis amortismanlar makineler, birikmis amortismanlar; cumulatieve afschrijving machines; αποσβεσμενα μηχανηματα; амортизация основных средств оборудование, амортизация оборудования, знос обладнання; амортизация на машини; amortizarea instalatiilor, amortizarea echipamentelor; ispravak vrijednosti strojeva, ispravka vrednosti opreme',
  'vehicles-cost':
    'μεταφορικα μεσα, αυτοκινητα, φορτηγα; транспортные средства, транспорт, автомобили, транспортні засоби; транспортни средства; mijloace de transport, autoturisme, autovehicule; transportna sredstva, vozila, osobni automobili',
  'vehicles-depreciation':
    'birikmis amortismanlar tasitlar; cumulatieve afschrijving vervoermiddelen, cumulatieve afschrijving bestelauto; αποσβεσμενα μεταφορικα μεσα; амортизация транспортных средств, амортизация основных средств транспорт; амортизация на транспортни средства; amortizarea mijloacelor de transport; ispravak vrijednosti vozila, ispravka vrednosti vozila',
  'fixtures-cost':
    'επιπλα, επιπλα και λοιπος εξοπλισμος; мебель, офисная мебель, инвентарь, меблі; стопански инвентар, мебели; mobilier, aparatura birotica, mobilier birou; namjestaj, inventar, uredska oprema, pohistvo',
  'fixtures-depreciation':
    'birikmis amortismanlar demirbaslar; cumulatieve afschrijving inventaris; αποσβεσμενα επιπλα; амортизация мебели; амортизация на стопански инвентар; amortizarea mobilierului; ispravak vrijednosti namjestaja',
  'computers-cost':
    'ηλεκτρονικοι υπολογιστες, υπολογιστες; компьютеры, вычислительная техника, компютери комп ютерна техніка; компютри; calculatoare, tehnica de calcul; racunala, racunalna oprema, kompjuteri',
  'fixed-assets-in-progress':
    'ακινητοποιησεις υπο εκτελεση; капитальные вложения, незавершенное строительство, капітальні інвестиції; разходи за придобиване на дълготрайни активи; imobilizari in curs, imobilizari corporale in curs; materijalna imovina u pripremi, investicije u toku',
  investments:
    'συμμετοχες, χρεογραφα, τιτλοι; финансовые вложения, финансовые вложения долгосрочные, фінансові інвестиції; дялово участие, инвестиции; titluri de participare, actiuni detinute, investitii; udjeli, dionice, financijska imovina, ucesca u kapitalu',
  'rent-deposit':
    'εγγυησεις, δοσμενες εγγυησεις; обеспечительный платеж, депозит по аренде; гаранции предоставени; garantii depuse; dani depoziti, jamcevine',
  'raw-materials':
    'πρωτες υλες, πρωτες και βοηθητικες υλες, αναλωσιμα υλικα; материалы, сырье и материалы, матеріали, сировина; материали, суровини; materii prime, materiale consumabile; sirovine i materijal, sirovine, materijal na zalihi',
  'work-in-progress':
    'παραγωγη σε εξελιξη, ημιτελη; незавершенное производство, виробництво незавершене; незавършено производство; productia in curs, produse in curs de executie, semifabricate; proizvodnja u tijeku, nedovrsena proizvodnja',
  'finished-goods':
    'εμπορευματα, ετοιμα προιοντα, αποθεματα; товары, готовая продукция, товары на складах, товари; стоки, готова продукция, продукция; marfuri, produse finite, stocuri; roba, gotovi proizvodi, trgovacka roba, zalihe',
  receivables:
    'πελατες, πελατες εσωτερικου, απαιτησεις απο πελατες, γραμματια εισπρακτεα; покупатели и заказчики, дебиторская задолженность, расчеты с покупателями, расчеты с покупателями и заказчиками, покупці; клиенти, вземания от клиенти; clienti, creante comerciale, efecte de primit; kupci, potrazivanja od kupaca, kupci u zemlji, terjatve do kupcev',
  'doubtful-debts':
    'προβλεψεις επισφαλων, προβλεψεις για επισφαλεις απαιτησεις; резерв по сомнительным долгам, резервы по сомнительным долгам; обезценка на вземания; ajustari pentru deprecierea creantelor; ispravak vrijednosti potrazivanja, ispravka vrednosti potrazivanja',
  'other-debtors':
    'χρεωστες διαφοροι; прочие дебиторы, расчеты с разными дебиторами, інші дебітори; други дебитори, други вземания; debitori diversi; ostala potrazivanja, druga terjatve',
  'supplier-advances':
    'προκαταβολες σε προμηθευτες, προκαταβολες αγορων; авансы выданные; доставчици по аванси, предоставени аванси; furnizori debitori, avansuri acordate furnizorilor; dani predujmovi, dati avansi',
  'staff-loans':
    'προκαταβολες προσωπικου, δανεια προσωπικου; расчеты с подотчетными лицами, расчеты с персоналом по прочим операциям; подотчетни лица; avansuri acordate personalului, avansuri de trezorerie; potrazivanja od zaposlenih',
  prepayments:
    'προπληρωμενα εξοδα, εξοδα επομενων χρησεων; расходы будущих периодов, витрати майбутніх періодів; разходи за бъдещи периоди; cheltuieli inregistrate in avans; placeni troskovi buduceg razdoblja, unaprijed placeni troskovi, avr',
  'accrued-income':
    'εσοδα χρησεως εισπρακτεα, δεδουλευμενα εσοδα; доходы начисленные; приходи за бъдещи вземания; clienti facturi de intocmit; obracunati prihodi',
  'input-tax':
    'φπα εισροων, φπα αγορων; ндс по приобретенным ценностям, ндс входящий, пдв податковий кредит; ддс на покупките, ддс покупки, данъчен кредит; tva deductibila, tva de recuperat; pretporez, pdv u primljenim racunima, vstopni ddv',
  bank: 'καταθεσεις οψεως, τραπεζα, καταθεσεις; расчетный счет, расчетные счета, поточний рахунок; разплащателна сметка, банка; conturi la banci, conturi la banci in lei, banca; ziro racun, transakcijski racun, poslovni racun, tekuci racun, banka',
  'bank-deposit':
    'προθεσμιακες καταθεσεις, καταθεσεις προθεσμιας; депозитный счет, депозитные счета; депозити, банков депозит; depozite bancare; orocena sredstva, depoziti u bankama',
  'bank-foreign':
    'καταθεσεις σε συναλλαγμα, λογαριασμος συναλλαγματος; валютный счет, валютные счета; разплащателна сметка във валута; conturi la banci in valuta; devizni racun',
  cash: 'ταμειο; касса, каса; каса в левове; casa, casa in lei, numerar; blagajna, gotovina',
  'cash-in-transit':
    'επιταγες εισπρακτεες, χρηματικα σε κινηση; переводы в пути; парични средства на път; viramente interne; prijelazni racun, novac na putu',
  payables:
    'προμηθευτες, προμηθευτες εσωτερικου, γραμματια πληρωτεα; поставщики и подрядчики, расчеты с поставщиками и подрядчиками, кредиторская задолженность, постачальники; доставчици, задължения към доставчици; furnizori, datorii comerciale, efecte de platit; dobavljaci, obveze prema dobavljacima, obaveze prema dobavljacima, dobavitelji',
  grni: 'αγορες υπο τακτοποιηση; неотфактурованные поставки; нефактурирани доставки; furnizori facturi nesosite; nefakturirana roba',
  accruals:
    'εξοδα χρησεως δουλευμενα, δεδουλευμενα εξοδα; начисленные обязательства, кредиторы прочие начисления; начислени разходи; datorii angajate; obracunati troskovi, pvr',
  'deferred-income':
    'εσοδα επομενων χρησεων; доходы будущих периодов; приходи за бъдещи периоди; venituri inregistrate in avans; prihodi buduceg razdoblja, odgodeni prihodi',
  'customer-deposits':
    'προκαταβολες πελατων, υποχρεωσεις απο προκαταβολες; авансы полученные, аванси одержані; клиенти по аванси, получени аванси; clienti creditori, avansuri de la clienti; primljeni predujmovi, primljeni avansi',
  'other-creditors':
    'πιστωτες διαφοροι; прочие кредиторы, кредиторы прочие, расчеты с разными кредиторами; други кредитори; creditori diversi; ostale obveze, ostale obaveze',
  card: 'πιστωτικη καρτα, πιστωτικες καρτες; кредитная карта; кредитна карта; card de credit; kreditna kartica',
  'output-tax':
    'φπα εκροων, φπα πωλησεων; ндс начисленный, ндс с продаж, пдв зобов язання; ддс на продажбите, ддс продажби; tva colectata; obveza za pdv, pdv po izlaznim racunima, obracunani ddv',
  'tax-settlement':
    'φπα αποδοτεος, αποδοση φπα, φπα καταβλητεος; ндс к уплате, расчеты по ндс; ддс за внасяне; tva de plata; pdv za uplatu, obveza za razliku pdv',
  'payroll-tax':
    'φορος μισθωτων υπηρεσιων, φμυ, παρακρατουμενοι φοροι; ндфл, налог на доходы физических лиц, пдфо; данък върху доходите на физическите лица, ддфл; impozit pe salarii, impozitul pe venituri de natura salariilor; porez na dohodak iz placa, porez na zarade',
  'social-security':
    'ασφαλιστικοι οργανισμοι, ικα, εφκα; расчеты по социальному страхованию, страховые взносы к уплате, єсв; осигурители, разчети с осигурители; asigurari sociale, contributii sociale; doprinosi iz place, obveze za doprinose, obaveze za doprinose',
  'wages-payable':
    'αποδοχες προσωπικου πληρωτεες, οφειλομενες αποδοχες; расчеты с персоналом по оплате труда, расчеты с персоналом, розрахунки з оплати праці; персонал, задължения към персонала; personal salarii datorate, salarii datorate; obveze prema zaposlenima, obveze za neto place, obaveze za zarade',
  'corporation-tax-payable':
    'φορος εισοδηματος πληρωτεος; налог на прибыль к уплате, расчеты по налогу на прибыль; данък върху печалбата задължение, корпоративен данък; impozit pe profit datorat; obveza za porez na dobit',
  'other-taxes':
    'λοιποι φοροι τελη; прочие налоги, расчеты по налогам и сборам; други данъци; alte impozite si taxe; ostali porezi',
  overdraft:
    'αλληλοχρεος λογαριασμος; овердрафт; овърдрафт; credite bancare pe termen scurt, linie de credit; dopusteno prekoracenje',
  'short-loan':
    'βραχυπροθεσμα δανεια; краткосрочные кредиты; краткосрочни заеми; credite pe termen scurt; kratkorocni krediti',
  'hire-purchase':
    'χρηματοδοτικη μισθωση υποχρεωση; лизинговые обязательства; задължения по лизинг; leasing financiar datorii; obveze po leasingu',
  'directors-loan':
    'υποχρεωσεις προς εταιρους, δοσοληπτικοι λογαριασμοι εταιρων; займы учредителей, расчеты с учредителями; разчети със съдружници; asociati conturi curente, sume datorate asociatilor; pozajmice osnivaca, obveze prema clanovima drustva',
  'long-loan':
    'δανειο τραπεζας, τραπεζικα δανεια, μακροπροθεσμα δανεια; кредиты банка, долгосрочные кредиты, кредити банків; банкови заеми, дългосрочни банкови заеми; credite bancare pe termen lung, imprumut bancar; dugorocni krediti, krediti banaka, bancna posojila',
  'other-loan': 'λοιπα δανεια; прочие займы, займы; други заеми; alte imprumuturi; ostali zajmovi, pozajmice',
  'deferred-tax':
    'αναβαλλομενοι φοροι; отложенные налоговые обязательства; отсрочени данъци; impozit amanat; odgodeni porez',
  provisions:
    'προβλεψεις; оценочные обязательства, резервы предстоящих расходов; провизии; provizioane; rezerviranja, rezervisanja, rezervacije',
  'share-capital':
    'μετοχικο κεφαλαιο, εταιρικο κεφαλαιο; уставный капитал, статутний капітал; основен капитал; capital social, capital subscris varsat; temeljni kapital, osnovni kapital, upisani kapital',
  'share-premium':
    'διαφορα υπερ το αρτιο; добавочный капитал эмиссионный доход; премии от емисии; prime de emisiune; kapitalne rezerve, emisiona premija',
  'other-reserves':
    'τακτικο αποθεματικο, αποθεματικα, νομιμο αποθεματικο; резервный капитал, резервний капітал; резерви, общи резерви; rezerve legale, alte rezerve; zakonske rezerve, ostale rezerve',
  'retained-earnings':
    'κερδη εις νεο, υπολοιπο κερδων εις νεο; нераспределенная прибыль, нераспределенная прибыль прошлых лет, нерозподілений прибуток; неразпределена печалба, непокрита загуба; rezultatul reportat; zadrzana dobit, nerasporedena dobit, neraspodeljena dobit, preneseni dobicek',
  'current-year-result':
    'αποτελεσματα χρησεως, κερδη χρησεως; прибыли и убытки, прибыль отчетного года; печалба от текущата година; profit si pierdere; dobit tekuce godine, rezultat poslovne godine',
  dividends: 'μερισματα; дивиденды, дивіденди; дивиденти; dividende de plata, dividende; dividende isplacene',
  drawings:
    'αποληψεις, προσωπικες αναληψεις; изъятия собственника; лични тегления; retrageri titular; izuzimanja vlasnika',
  'opening-suspense':
    'εκκρεμεις λογαριασμοι; вспомогательный счет, невыясненные суммы; сметка за изясняване; decontari din operatii in curs de clarificare; prolazni racun, nerazjasnjene stavke',
  'sales-home':
    'πωλησεις εσωτερικου, πωλησεις εμπορευματων, πωλησεις; выручка на внутреннем рынке, выручка, выручка от продаж, дохід від реалізації; приходи от продажба на стоки, продажби; venituri din vanzarea marfurilor, venituri din vanzari; prihodi od prodaje robe, prihodi od prodaje u zemlji',
  'sales-export':
    'πωλησεις εξωτερικου; выручка от экспорта, экспорт; приходи от износ; venituri din export, livrari intracomunitare; prihodi od prodaje u inozemstvu, prihodi od izvoza',
  'sales-services':
    'εσοδα απο υπηρεσιες, παροχη υπηρεσιων; выручка от услуг, доходы от услуг; приходи от услуги; venituri din servicii prestate; prihodi od usluga',
  'sales-returns':
    'επιστροφες πωλησεων; возвраты, возвраты от покупателей; върнати стоки; retururi vanzari; povrati kupaca',
  'discounts-allowed':
    'εκπτωσεις, εκπτωσεις πωλησεων; скидки предоставленные; предоставени отстъпки; reduceri comerciale acordate; dani popusti, odobreni popusti',
  'rent-received':
    'εσοδα απο ενοικια; доходы от аренды; приходи от наеми; venituri din chirii; prihodi od najma, prihodi od zakupa',
  grants:
    'επιχορηγησεις; субсидии, целевое финансирование; финансирания; venituri din subventii; prihodi od potpora, subvencije',
  'sundry-income':
    'λοιπα εσοδα, εσοδα παρεπομενων; прочие доходы, інші доходи; други приходи; alte venituri; ostali prihodi',
  'interest-received':
    'εσοδα τοκων, πιστωτικοι τοκοι; проценты полученные, проценты к получению; приходи от лихви; venituri din dobanzi; prihodi od kamata',
  'purchases-goods':
    'αγορες εμπορευματων, κοστος πωληθεντων; себестоимость продаж, собівартість реалізації; отчетна стойност на продадени стоки; cheltuieli privind marfurile; nabavna vrijednost prodane robe, nabavna vrednost prodate robe',
  'purchases-materials':
    'αγορες πρωτων υλων; расход материалов, материальные затраты; разходи за материали; cheltuieli cu materiile prime, cheltuieli cu materialele; troskovi sirovina i materijala, troskovi materijala',
  subcontractors:
    'αμοιβες τριτων υπεργολαβοι, υπεργολαβοι; субподрядчики; подизпълнители; subcontractanti, colaboratori; kooperanti, podizvodaci',
  'carriage-inwards':
    'εξοδα μεταφορας, εξοδα εισαγωγης δασμοι; транспортные расходы, таможенные пошлины; мита, транспортни разходи по доставки; cheltuieli de transport aprovizionare, taxe vamale; ovisni troskovi nabave, carina',
  'discounts-received':
    'alinan iskontolar; εσοδα εκπτωσεων, εκπτωσεις αγορων; скидки полученные; получени отстъпки; reduceri comerciale primite; primljeni popusti',
  'stock-change':
    'μεταβολη αποθεματων; изменение запасов; изменение на запасите; variatia stocurilor; promjena vrijednosti zaliha',
  wages:
    'αμοιβες προσωπικου, μισθοι, μισθοι και ημερομισθια; заработная плата, расходы на оплату труда, заробітна плата; разходи за заплати, заплати; cheltuieli cu salariile personalului, salarii; place, neto place, troskovi zarada, bruto zarade, place zaposlenih',
  'employer-social':
    'εργοδοτικες εισφορες, εξοδα ασφαλισης; страховые взносы; разходи за осигуровки; cheltuieli privind asigurarile sociale, contributia asiguratorie pentru munca; doprinosi na placu, troskovi doprinosa',
  'staff-training':
    'εκπαιδευση προσωπικου; обучение персонала; обучение на персонала; cheltuieli cu pregatirea personalului; edukacija zaposlenih',
  rent: 'ενοικια; аренда цеха, аренда помещений, арендная плата, оренда приміщень; разходи за наем, наеми; cheltuieli cu chiriile, chirii; najamnina, zakupnina, troskovi najma, troskovi zakupa',
  'rates-water':
    'υδρευση, ενφια, δημοτικα τελη; налог на имущество, водоснабжение; данък сгради, вода; cheltuieli cu apa, impozit pe cladiri; komunalna naknada, voda',
  energy:
    'εξοδα ενεργειας, ηλεκτρικο ρευμα, ηλεκτρισμος; расходы на энергию, электроэнергия, отопление, електроенергія; разходи за електроенергия, енергия; cheltuieli cu energia si apa, energie electrica, gaze naturale; elektricna energija, troskovi energije, utrosena energija',
  'premises-repairs':
    'συντηρηση κτιριων; ремонт помещений; ремонт на сгради; reparatii cladiri; odrzavanje poslovnog prostora',
  cleaning:
    'καθαριοτητα, υλικα καθαριοτητας; уборка, вывоз мусора; почистване; servicii de curatenie, salubritate; troskovi ciscenja, odvoz smeca',
  insurance:
    'ασφαλιστρα; страхование, страхование имущества; застраховки; cheltuieli cu primele de asigurare, asigurari; premije osiguranja, osiguranje imovine, osiguranje',
  'motor-fuel':
    'καυσιμα; топливо, гсм, бензин; гориво, горива; cheltuieli privind combustibilii, combustibil; gorivo, troskovi goriva',
  'vehicle-costs':
    'εξοδα κινησης, εξοδα αυτοκινητων; расходы на автомобили, ремонт автомобилей; разходи за автомобили; cheltuieli auto, reparatii auto; odrzavanje vozila, troskovi vozila, registracija vozila',
  'equipment-hire':
    'μισθωσεις εξοπλισμου, leasing; аренда оборудования, лизинговые платежи; оперативен лизинг, наем на оборудване; redevente leasing operational, inchirieri echipamente; najam opreme, operativni leasing',
  travel:
    'εξοδα ταξιδιων; командировочные расходы, командировки, відрядження; командировки; cheltuieli cu deplasari, deplasari detasari; dnevnice, troskovi sluzbenog puta, sluzbena putovanja',
  entertaining:
    'εξοδα φιλοξενιας; представительские расходы; представителни разходи; cheltuieli de protocol; reprezentacija, troskovi reprezentacije',
  telephone:
    'τηλεπικοινωνιες, εξοδα τηλεφωνου, τηλεφωνα; расходы на связь, телефон и интернет, зв язок; телефон, съобщителни услуги; cheltuieli postale si telecomunicatii, telefon internet; telefon, telefonski troskovi, telekomunikacije',
  stationery:
    'γραφικη υλη, εντυπα; канцтовары, канцелярские товары, почтовые расходы; канцеларски материали; rechizite, papetarie; uredski materijal, kancelarijski materijal',
  'software-subscriptions':
    'συνδρομες λογισμικου; программное обеспечение, подписки; софтуер абонаменти; abonamente software, servicii it; pretplate na softver, informaticke usluge',
  accountancy:
    'αμοιβες λογιστων; бухгалтерские услуги, аудит; счетоводни услуги, одит; servicii contabilitate, audit; knjigovodstvene usluge, revizija',
  legal:
    'αμοιβες δικηγορων, νομικες υπηρεσιες; юридические услуги, консультационные услуги; правни услуги, консултантски услуги; onorarii avocati, consultanta; odvjetnicke usluge, savjetodavne usluge, advokatske usluge',
  advertising:
    'εξοδα διαφημισης, διαφημιση, προβολη; реклама, расходы на рекламу; реклама и маркетинг; cheltuieli de reclama si publicitate, marketing; promidzba, reklama i propaganda, troskovi oglasavanja',
  'carriage-outwards':
    'μεταφορικα πωλησεων; доставка покупателям, расходы на доставку; транспорт на продажби; cheltuieli cu transportul de bunuri; prijevozne usluge, transportni troskovi',
  'bad-debts':
    'επισφαλειες; списание дебиторской задолженности, безнадежные долги; отписани вземания; pierderi din creante; otpis potrazivanja',
  'equipment-repairs':
    'επισκευες και συντηρησεις, συντηρηση μηχανηματων; ремонт оборудования, ремонт и обслуживание; ремонт и поддръжка; cheltuieli cu intretinerea si reparatiile; odrzavanje opreme, tekuce odrzavanje',
  'small-tools':
    'εργαλεια, αναλωσιμα; инструмент, малоценный инвентарь; инструменти, малоценни активи; materiale de natura obiectelor de inventar; sitan inventar, alat',
  'depreciation-charge':
    'αποσβεσεις, αποσβεσεις παγιων; расходы на амортизацию, амортизационные отчисления; разходи за амортизация; cheltuieli de exploatare privind amortizarea, cheltuieli cu amortizarea; troskovi amortizacije, amortizacija',
  disposals:
    'κερδη απο πωληση παγιων; продажа основных средств; продажба на дълготрайни активи; venituri din vanzarea activelor, cheltuieli privind activele cedate; dobici od prodaje imovine',
  'bank-charges':
    'εξοδα τραπεζων, προμηθειες τραπεζων; банковские расходы, услуги банка, комиссия банка; банкови такси; cheltuieli cu serviciile bancare, comisioane bancare; bankovne usluge, bankarske provizije, naknade banke',
  'card-charges': 'προμηθειες καρτων; эквайринг; такси пос терминал; comisioane pos; naknade za kartice',
  'interest-paid':
    'χρεωστικοι τοκοι, τοκοι δανειων; проценты уплаченные, проценты к уплате; разходи за лихви; cheltuieli privind dobanzile; rashodi od kamata, kamate na kredite',
  'exchange-realised':
    'συναλλαγματικες διαφορες; курсовые разницы, курсові різниці; валутни разлики, курсови разлики; diferente de curs valutar; tecajne razlike, kursne razlike',
  'corporation-tax':
    'φορος εισοδηματος; налог на прибыль, податок на прибуток; данък върху печалбата; cheltuieli cu impozitul pe profit; porez na dobit',
  rounding: 'στρογγυλοποιησεις; округления; закръгления; rotunjiri; zaokruzivanje, razlike zaokruzivanja',
  'sundry-expense':
    'λοιπα εξοδα, διαφορα εξοδα; прочие расходы, інші витрати; други разходи; alte cheltuieli; ostali troskovi, ostali rashodi',
  fines: 'προστιμα; штрафы, пени; глоби; amenzi si penalitati; kazne i penali',
};
