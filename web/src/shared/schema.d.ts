// Written from openapi.json by scripts/api.mjs; not by hand.

export interface paths {
  '/api/session': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SessionView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/session/adult': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['AdultSignIn'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/session/class/{code}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          code: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CodeView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/session/reader': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ReaderSignIn'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/session/hand-over': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['HandOverRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['HandedOver'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/session/return': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ReturnRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/first-run': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['FirstRunRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SchoolView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['SchoolRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SchoolView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/level-chart': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ChartView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ChartRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ChartView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/level-chart/effect': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ChartRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ChartEffect'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/readers': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SchoolReader'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/classes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SchoolClass'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/mail': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SentMail'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/looks': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Look'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/years': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['YearHead'][];
          };
        };
      };
    };
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['YearRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['YearView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/years/{yearId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          yearId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['YearView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          yearId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['YearRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['YearView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/years/{yearId}/roll-over/preview': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          yearId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['RollRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RollView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/years/{yearId}/roll-over': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          yearId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['RollRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/record.json': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': string;
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/record.pdf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/pdf': string;
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/merge': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['MergeRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/delete': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Message'][];
          };
        };
      };
    };
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['DeleteRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/transfers': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['TransfersView'];
          };
        };
      };
    };
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['TransferRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/transfers/{transferId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          transferId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['TransferDecision'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/adults': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['StaffRow'][];
          };
        };
      };
    };
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['InviteRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['InvitedView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/adults/several': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['InviteSeveralRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['InvitedSeveral'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/adults/{adultId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          adultId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['StaffRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/adults/{adultId}/sign-out': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          adultId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/sign-ins': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SignInEventRow'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/me/password': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['PasswordRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/me/sign-out': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/me/sessions': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SessionPlace'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/me/sessions/{sessionId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          sessionId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/adults/{adultId}/pass': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          adultId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['InvitedView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/adults/passes.pdf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['PassesRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/pdf': string;
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/pass/look': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['PassRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['PassView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/pass': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['PassRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ClassView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ClassDetailsRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/level-chart': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['LevelRowView'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['NewClassRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MadeClass'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/code': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/close': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/reopen': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/copy': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['CopyClassRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MadeClass'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/adults': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ClassAdultRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/adults/{adultId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          adultId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/colleagues': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ColleagueView'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/assistants-print': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['AssistantsPrintRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/pool': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['PoolRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/outside': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['OutsideRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/roster': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ClassRosterView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/roster.{form}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          form: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'text/csv': string;
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/find': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          name?: string;
          grade?: number;
          classId?: string;
          notIn?: string;
        };
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Found'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/enrol': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ReadersRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/remove': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ReadersRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/move': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['MoveRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/readers/{readerId}/leave': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/stays': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Stay'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/bulk': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['BulkRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/readers/{readerId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          readerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['DetailsRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/readers/{readerId}/secret': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          readerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['SecretRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/readers/{readerId}/picture': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          readerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['PictureRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/list/read': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: {
          fields?: string;
          heading?: boolean;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/octet-stream': Blob;
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ReadListView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/list/check': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ListRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CheckedListView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/list/apply': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ListRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['AppliedListView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/list/draft': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DraftView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ListRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DraftView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/list-template.xlsx': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet': string;
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/session/join': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['JoinRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/joinings/{joiningId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          joiningId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['JoinDecision'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/taking-in/{takingInId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          takingInId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['TakingInDecision'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          takingInId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/taking-in': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['TakingIn'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/lists': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ReaderListView'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/lists/{listId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          listId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ReaderListRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          listId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/readers': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['NewReaderRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['AddedReader'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/readers.csv': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'text/csv': string;
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ReaderView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/sign-in': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SignInView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/history.csv': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'text/csv': string;
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/evidence': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['AccountView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/readers/{readerId}/evidence': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          readerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['LeaveOutRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/readers/{readerId}/levels': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          readerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['JudgementRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/readers/{readerId}/level': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          readerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['SetLevelRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RosterChanged'];
          };
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/guardian/register': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['RegisterRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RegisteredView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/guardian/confirm': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ConfirmRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/guardian/children': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ChildView'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/guardian/children/{readerId}/together': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['HomeTextView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/guardian/children/{readerId}/weeks/{monday}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
          monday: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['FinishedWeek'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/guardians': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['GuardianRow'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/guardians/invite': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['InviteGuardiansRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['GuardiansInvited'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/guardian-code/take-back': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['TakeBackRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['GuardianTakenBack'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/home-messages': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['HomeMessage'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/home-messages/{messageId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
          messageId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['HomeWordsRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['HomeMessage'][];
          };
        };
      };
    };
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
          messageId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['HomeMessage'][];
          };
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/home-messages/seen': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/guardian/children/{readerId}/messages/{messageId}/answers/{homeAnswerId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
          messageId: string;
          homeAnswerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['HomeWordsRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['HomeMessage'][];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/print/{form}.pdf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          readers?: string;
          paper?: string;
        };
        header?: never;
        path: {
          classId: string;
          form: components['schemas']['PrintForm'];
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/pdf': string;
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/print/{form}.pdf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          classes?: string;
          paper?: string;
        };
        header?: never;
        path: {
          form: components['schemas']['PrintForm'];
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/pdf': string;
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/imports': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ImportsView'];
          };
        };
      };
    };
    put?: never;
    post: {
      parameters: {
        query?: {
          name?: string;
          id?: string;
        };
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/octet-stream': Blob;
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MadeImport'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/imports/source': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: {
          id?: string;
        };
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MadeImport'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/imports/{importId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          importId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ImportView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          importId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/imports/{importId}/preview': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          importId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ImportWish'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/imports/{importId}/apply': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          importId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ImportConsent'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/roster.zip': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/zip': string;
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          ids?: string;
          classId?: string;
        };
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['TextRow'][];
          };
        };
      };
    };
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['OwnTextRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SavedTextView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/{textId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['TextView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['OwnTextRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SavedTextView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/{textId}/use': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          classId?: string;
        };
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['UseView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/library': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          classId?: string;
          readers?: string;
          q?: string;
          kind?: string;
          topic?: string;
          fiction?: boolean;
          depthFrom?: number;
          depthTo?: number;
          wordsFrom?: number;
          wordsTo?: number;
          minutesTo?: number;
          pattern?: string;
          quiz?: boolean;
          wordsToKnow?: boolean;
          audio?: boolean;
          read?: boolean;
          whose?: components['schemas']['Whose'];
          retired?: boolean;
          season?: string;
          sort?: components['schemas']['ShelfSort'];
          down?: boolean;
          from?: number;
        };
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['LibraryAnswer'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/library/patterns': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['PatternView'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/library/searches': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SavedSearch'][];
          };
        };
      };
    };
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['SavedSearchRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SavedSearch'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/library/searches/{searchId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          searchId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description No Content */
        204: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/measure': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['MeasureRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MeasuredView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/{textId}/copy': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody?: {
        content: {
          'application/json': null | components['schemas']['CopyTextRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SavedTextView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/{textId}/retire': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['RetireRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/{textId}/versions/{versionId}/depth': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
          versionId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['StateDepthRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/{textId}/revisions': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RevisionView'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/{textId}/revisions/{revision}/restore': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
          revision: number;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SavedTextView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/{textId}/versions/{versionId}/sound': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
          versionId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
          versionId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/octet-stream': Blob;
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
          versionId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/{textId}/versions/{versionId}/maze': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          draft?: number;
        };
        header?: never;
        path: {
          textId: string;
          versionId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MazeView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
          versionId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['KeepMazeRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MazeView'];
          };
        };
      };
    };
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
          versionId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/read': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['FileRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DraftFileView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/bring': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['BringRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['BroughtText'][];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/{textId}/quiz/read': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['FileRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['QuizFileView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/{textId}/file': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          format?: string;
          version?: string;
        };
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/pictures/{pictureId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          pictureId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/{textId}/picture': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    put: {
      parameters: {
        query?: {
          shows?: string;
        };
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/octet-stream': Blob;
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/copies': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CopyView'][];
          };
        };
      };
    };
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['NewCopiesRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CopiesMade'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/copies/desk': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['DeskRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DeskAnswer'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/copies/{copyId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          copyId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/{textId}/quiz': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['QuizView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['QuizRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SavedTextView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/texts/{textId}/quiz/check': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['QuizRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['QuizCheckView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/choosing': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ChoiceRulesView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ChoiceRulesRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ChoiceRulesView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/own-choice': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['OwnChoice'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['OwnChoice'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['OwnChoice'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/choices': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ChoicesView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/choices/{textId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ChosenView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/choices/{ticketId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description No Content */
        204: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/word-lists': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['WordListView'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/word-lists/{wordListId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          wordListId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['WordListRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['WordListView'];
          };
        };
      };
    };
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          wordListId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description No Content */
        204: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/plans': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SavedPlanView'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/plans': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['NewPlanRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SavedPlanView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/plans/{planId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          planId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['SavedPlanRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SavedPlanView'];
          };
        };
      };
    };
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          planId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description No Content */
        204: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/plans/{planId}/restore': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          planId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SavedPlanView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/plans/{planId}/look': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          planId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['LookRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['LaidItem'][];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/plans/{planId}/lay': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          planId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['LayRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DoneView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/fit': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['FitRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['FitView'][];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/assignments': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          q?: string;
          shown?: components['schemas']['AssignmentsShown'];
          order?: components['schemas']['AssignmentsOrder'];
          from?: number;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['AssignmentPage'];
          };
        };
      };
    };
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['AssignRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['AssignedView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/assignments/notes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['AssignRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Message'][];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/assignments/{assignmentId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          assignmentId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['AssignmentView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          assignmentId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['TermsRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DoneView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/tickets/{ticketId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['TicketView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/week': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          from?: string;
          to?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['WeekView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/places': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          from?: string;
          to?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['PlacesView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/drafts/give': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['DraftsRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DoneView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/drafts/copy': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['CopyRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DoneView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/drafts/discard': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['DraftsRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DoneView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/assignments/{assignmentId}/swap': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          assignmentId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['SwapRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DoneView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/tickets': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['TicketsRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DoneView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/tickets/day': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['OwnDayRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DoneView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/tickets/remind': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['RemindRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DoneView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/readers/{readerId}/home': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyTicket'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/tickets/{ticketId}/work': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyWork'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/calendar': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          readerId?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CalendarView'];
          };
        };
      };
    };
    put?: never;
    post: {
      parameters: {
        query?: {
          readerId?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CalendarLink'];
          };
        };
      };
    };
    delete: {
      parameters: {
        query?: {
          readerId?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/calendar/{token}.ics': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          token: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/week/suggestions': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          each?: number;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SuggestedForGroup'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/drafts': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['DraftWeekRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DoneView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/tickets/{ticketId}/version': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['VersionRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DoneView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/assignments/classes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query: {
          classId: components['schemas']['ClassId'][];
          from?: string;
          to?: string;
        };
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ClassDays'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/assignments/{assignmentId}/papers': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          assignmentId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['PaperRow'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/assignments/{assignmentId}/papers/{paperId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: {
          name?: string;
          each?: boolean;
        };
        header?: never;
        path: {
          assignmentId: string;
          paperId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/octet-stream': Blob;
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['PaperRow'][];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/papers/{paperId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: {
          name?: string;
          each?: boolean;
        };
        header?: never;
        path: {
          classId: string;
          paperId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/octet-stream': Blob;
        };
      };
      responses: {
        /** @description No Content */
        204: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/papers/{paperId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          paperId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/papers/{paperId}/restore': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          paperId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/papers/{paperId}/file': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          paperId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/tickets/{ticketId}/papers': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['PaperCopy'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/papers': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['PaperCopy'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/papers/{paperId}/file': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
          paperId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/papers/{paperId}/strokes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
          paperId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['StrokesRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Stroke'][];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/stream': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['StreamView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['StreamRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['StreamView'];
          };
        };
      };
    };
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/assignments/{assignmentId}/stream': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          assignmentId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          assignmentId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/stream-class': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          course?: string;
        };
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['StreamClass'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyTicket'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyWork'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/sound': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/recording/{recordId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: {
          seconds?: number;
        };
        header?: never;
        path: {
          ticketId: string;
          recordId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/octet-stream': Blob;
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyRecording'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/recording': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/open': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: {
          at?: string;
        };
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/spells/{spellId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
          spellId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['SpellRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/answers/{answerId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
          answerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['AnswerRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyQuestion'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/answers': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['TicketAnswers'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['TakenAnswer'][];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/hand-in': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: {
          at?: string;
        };
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyResult'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/result': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyResult'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/versions': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyVersion'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/version': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['MyVersionRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyWork'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tasks/{ticketId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyTask'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tasks/{ticketId}/partners': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['PartnersView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/reply': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ReplyRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyTask'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/tickets/{ticketId}/task': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyTask'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/tickets/{ticketId}/reply/mark': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['MarkRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MarkedView'];
          };
        };
      };
    };
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MarkedView'];
          };
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/marking': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ToMarkRow'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/tickets/{ticketId}/marks/{answerId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
          answerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['MarkRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MarkedView'];
          };
        };
      };
    };
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
          answerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MarkedView'];
          };
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/tickets/{ticketId}/release': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MarkedView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/set-aside/{asideId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          asideId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['SetAsideRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/home': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyHome'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/readings': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['OwnReading'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/readings/{ownReadingId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ownReadingId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['OwnReadingRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/own-readings': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['OwnReading'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/own-readings/{ownReadingId}/confirmed': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
          ownReadingId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ReadingConfirmed'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['OwnReading'][];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/marking/queue': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ToMarkQuestion'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/me/kept-comments': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['KeptComments'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['KeptComments'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['KeptComments'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/assignments/{assignmentId}/results': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          assignmentId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ResultsView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/assignments/{assignmentId}/questions/{questionId}/correction/preview': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          assignmentId: string;
          questionId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['CorrectionRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CorrectionPreview'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/assignments/{assignmentId}/questions/{questionId}/correction': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          assignmentId: string;
          questionId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['CorrectionRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CorrectedView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/assignments/{assignmentId}/typed-results': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          assignmentId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['TypedResultsRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['TypedResultsSaved'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/reports': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          kind?: components['schemas']['SpanKind'];
          from?: string;
          to?: string;
          by?: components['schemas']['SchoolPart'];
        };
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SchoolReportView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/gradebook/{gradebook}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          also?: string;
          from?: string;
          to?: string;
        };
        header?: never;
        path: {
          classId: string;
          gradebook: components['schemas']['GradebookForm'];
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/conference.pdf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          readers?: string;
          language?: string;
          paper?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/pdf': string;
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/conference': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ConferenceWords'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/conference/{readerId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          readerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['WordsRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/notes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Note'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/notes/{noteId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
          noteId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['NoteRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Note'][];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/notes/{noteId}/seen': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          noteId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/notes/{noteId}/reply': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          noteId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['NoteAnswerRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Note'][];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/tickets/{ticketId}/notes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Note'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/notes/{noteId}/answer': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          noteId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['NoteAnswerRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Note'][];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/ratings': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Rating'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/ratings/{textId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          textId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['RatingRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Rating'][];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/recommendations': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RecommendationRow'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/recommendations/{readerId}/{textId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          readerId: string;
          textId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['ApprovalRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RecommendationRow'][];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/talk': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['TalkedView'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/assignments/{assignmentId}/talk': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          assignmentId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['TalkView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          assignmentId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['TalkRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['TalkView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/voice': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['SayRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SaidView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/voice/{key}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          key: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/words': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyKeptWords'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/words/kept': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['KeepWordRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/words/tries': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['TriesRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/records': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['OralView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/records/{recordId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
          recordId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RecordView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
          recordId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['BeginRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RecordView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/records/{recordId}/sheet': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
          recordId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['KeepRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RecordView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/records/{recordId}/discard': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
          recordId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['DiscardRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RecordView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/records/{recordId}/record.pdf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          paper?: string;
        };
        header?: never;
        path: {
          readerId: string;
          recordId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/pdf': string;
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/recordings': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RecordingRow'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/records/{recordId}/sound': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
          recordId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    put: {
      parameters: {
        query?: {
          seconds?: number;
        };
        header?: never;
        path: {
          readerId: string;
          recordId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/octet-stream': Blob;
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RecordView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/records/{recordId}/listen': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
          recordId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['RecordView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/checks': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CheckRow'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/checks': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CheckRow'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/checks/choices': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CheckChoices'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/checks/preview': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['CheckPreviewRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CheckPreview'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/checks/{checkId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          checkId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CheckView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          checkId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['CheckRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CheckChanged'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/checks/{checkId}/again': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          checkId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['AgainRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CheckChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/checks/{checkId}/close': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          checkId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['CloseRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CheckChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/checks/{checkId}/take-back': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          checkId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['CheckReadersRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CheckChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/checks/{checkId}/discard': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          checkId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['GoneRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CheckChanged'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/checks': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyCheck'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/checks/{sittingId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          sittingId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyCheckView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/checks/{sittingId}/begin': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          sittingId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyCheckView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/checks/{sittingId}/stages/{stageId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          sittingId: string;
          stageId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['StageRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MyCheckView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/windows': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['WindowView'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/absences': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['AbsenceRow'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/readers/{readerId}/absences/{absenceId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
          absenceId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['AbsenceRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['AbsenceRow'][];
          };
        };
      };
    };
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          readerId: string;
          absenceId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['AbsenceRow'][];
          };
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/goals': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          termId?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['GoalsView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['SetGoalsRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SetGoalsView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/goals/met': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['CallMetRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SetGoalsView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/feedback/{spellId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
          spellId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['FeedbackSpell'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/my/tickets/{ticketId}/comment-replies': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CommentReply'][];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['CommentReplyRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['CommentReply'][];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/tickets/{ticketId}/feedback': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['FeedbackUse'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/tickets/{ticketId}/feedback/seen': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/tickets/{ticketId}/talked-over/{questionId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          ticketId: string;
          questionId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['TalkedOverRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/marking/others': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['WaitingRow'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/signals': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SignalsView'];
          };
        };
      };
    };
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['SignalRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SignalsDone'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/groups/rules': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          grouping?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['GroupRulesBody'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: {
          grouping?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['GroupRulesBody'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['GroupRulesBody'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/groups/proposal': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: {
          grouping?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['GroupRulesBody'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ProposalView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/groups/judgement': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: {
          grouping?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['JudgeRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['JudgedView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/groups/leaders': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['GroupLeader'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/groups/{groupId}/leader': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          groupId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['LeadRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/groupings': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['GroupingView'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/groupings/{groupingId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          groupingId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['GroupingRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['GroupingView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/groupings/{groupingId}/end': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
          groupingId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SavedGroups'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/groups': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: {
          grouping?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['SaveGroupsRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SavedGroups'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/groups/again': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['AgainView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/groups/past': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['GroupPastView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/meetings': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          monday?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MeetingWeekView'];
          };
        };
      };
    };
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['MeetingsRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MeetingWeekView'];
          };
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/meetings/proposal': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['PlanMeetingsRequest'];
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ProposedMeeting'][];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/meetings/{meetingId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          meetingId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['MeetingView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          meetingId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description No Content */
        204: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/meetings/{meetingId}/dictation': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: {
          seconds?: number;
        };
        header?: never;
        path: {
          meetingId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/octet-stream': Blob;
        };
      };
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['DictatedView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/meetings/{meetingId}/begin': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          meetingId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description No Content */
        204: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/meetings/{meetingId}/end': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          meetingId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description No Content */
        204: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/meetings/{meetingId}/readers/{readerId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          meetingId: string;
          readerId: string;
        };
        cookie?: never;
      };
      requestBody: {
        content: {
          'application/json': components['schemas']['SeeRequest'];
        };
      };
      responses: {
        /** @description No Content */
        204: {
          headers: {
            [name: string]: unknown;
          };
          content?: never;
        };
      };
    };
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/changes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Change'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/school/changes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: never;
        header?: never;
        path?: never;
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['Change'][];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/changes/{changeId}/undo': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: {
      parameters: {
        query?: never;
        header?: never;
        path: {
          changeId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['UndoneView'];
          };
        };
      };
    };
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/reports/days': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          kind?: components['schemas']['SpanKind'];
          from?: string;
          to?: string;
          groupId?: string;
          fiction?: boolean;
          readerId?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['SpansView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/reports/readers': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          kind?: components['schemas']['SpanKind'];
          from?: string;
          to?: string;
          groupId?: string;
          fiction?: boolean;
          readerId?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['ReportView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/reports/questions': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          kind?: components['schemas']['SpanKind'];
          from?: string;
          to?: string;
          groupId?: string;
          fiction?: boolean;
          readerId?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['QuestionsView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/reports/texts': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          kind?: components['schemas']['SpanKind'];
          from?: string;
          to?: string;
          groupId?: string;
          fiction?: boolean;
          readerId?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['TextsView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/reports/log': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          kind?: components['schemas']['SpanKind'];
          from?: string;
          to?: string;
          groupId?: string;
          fiction?: boolean;
          readerId?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['LogView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/reports/answers': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          kind?: components['schemas']['SpanKind'];
          from?: string;
          to?: string;
          groupId?: string;
          fiction?: boolean;
          readerId?: string;
          strand?: components['schemas']['Strand'];
          questionId?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['AnswersView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/classes/{classId}/reports/over-time': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: {
      parameters: {
        query?: {
          kind?: components['schemas']['SpanKind'];
          from?: string;
          to?: string;
          groupId?: string;
          fiction?: boolean;
          readerId?: string;
        };
        header?: never;
        path: {
          classId: string;
        };
        cookie?: never;
      };
      requestBody?: never;
      responses: {
        /** @description OK */
        200: {
          headers: {
            [name: string]: unknown;
          };
          content: {
            'application/json': components['schemas']['OverTimeView'];
          };
        };
      };
    };
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
}
export type webhooks = Record<string, never>;
export interface components {
  schemas: {
    /**
     * Format: uuid
     * @description Names an absence.
     */
    AbsenceId: string;
    AbsenceRequest: {
      /** Format: date */
      from: string;
      /** Format: date */
      to: string;
      reason?: null | string;
    };
    AbsenceRow: {
      id: components['schemas']['AbsenceId'];
      /** Format: date */
      fromDay: string;
      /** Format: date */
      toDay: string;
      reason: string;
      by: null | string;
    };
    AccountView: {
      depth: components['schemas']['Fathoms'];
      /** Format: double */
      sd: number;
      mayJudge: boolean;
      pieces: components['schemas']['PieceView'][];
      surer: components['schemas']['SurerBy'][];
      labels: components['schemas']['LabelView'][];
      set: null | components['schemas']['SetLevelView'];
    };
    /**
     * @description How hard a text was for a reader who read it aloud.
     * @enum {unknown}
     */
    AccuracyZone: 'Independent' | 'Instructional' | 'Frustration';
    AddedReader: {
      id: components['schemas']['ReaderId'];
      userName: string;
      secretKind: components['schemas']['SecretKind'];
      secret: string;
      changeId: null | components['schemas']['ChangeId'];
    };
    /**
     * Format: uuid
     * @description The id of a teacher, assistant, school lead or guardian.
     */
    AdultId: string;
    AdultSignIn: {
      userName: string;
      password: string;
    };
    AgainMove: {
      readerId: components['schemas']['ReaderId'];
      to: string;
      likely: components['schemas']['Probability'];
    };
    AgainRequest: {
      readerIds?: null | components['schemas']['ReaderId'][];
      part?: null | components['schemas']['CheckPart'];
    };
    AgainView: {
      /** Format: int32 */
      weeks: null | number;
      proposal: null | components['schemas']['ProposalView'];
      moves: components['schemas']['AgainMove'][];
    };
    /** @enum {unknown} */
    AgainstForecast: 'Above' | 'As' | 'Below';
    AimView: {
      classIds: components['schemas']['ClassId'][];
      groupIds: components['schemas']['GroupId'][];
      readerIds: components['schemas']['ReaderId'][];
      grades: number[];
    };
    AlsoIn: {
      classId: components['schemas']['ClassId'];
      texts: components['schemas']['TextToGive'][];
      taskIds?: null | components['schemas']['AssignmentId'][];
    };
    /** @description What some readers answered at the first try. */
    AnswerDrew: {
      /** @description A choice, or what was put in order, matched or picked, in words. */
      said: string;
      right: boolean;
      /** @description What readers were told of it; empty where its writer says nothing. */
      reason: string;
      /**
       * Format: int32
       * @description Readers who got more of the other questions right than the rest.
       */
      strong: number;
      /**
       * Format: int32
       * @description The others.
       */
      weak: number;
    };
    /**
     * Format: uuid
     * @description An answer's id.
     */
    AnswerId: string;
    AnswerOfRecord: {
      questionId: components['schemas']['QuestionId'];
      right: boolean;
    };
    AnswerRequest: {
      questionId: components['schemas']['QuestionId'];
      picks?: null | number[];
      words?: null | string;
      /** Format: date-time */
      at: string;
      /** Format: int32 */
      milliseconds: number;
    };
    AnswerView: {
      questionId: components['schemas']['QuestionId'];
      tries: components['schemas']['TryView'][];
      mark: components['schemas']['AttemptMark'];
      tooFast: boolean;
    };
    AnswersView: {
      spans: components['schemas']['SpansView'];
      rows: components['schemas']['TryLine'][];
      more: boolean;
    };
    ApartView: {
      /** Format: double */
      level: number;
      /** Format: double */
      strands: number;
      /** Format: double */
      rate: number;
      /** Format: double */
      sum: number;
    };
    AppliedListView: {
      changeId: null | components['schemas']['ChangeId'];
      done: components['schemas']['CheckedListView'];
      added: components['schemas']['SignInRow'][];
    };
    /**
     * @description Whether others see what a reader says of a text.
     * @enum {unknown}
     */
    Approval: 'None' | 'Waiting' | 'Approved' | 'Kept';
    ApprovalRequest: {
      shown: boolean;
    };
    /** @description What a guardian asks once a text was read together, and one answer to it. */
    AskAtHome: {
      question: string;
      answer: string;
    };
    AskView: {
      stem: string;
      proof: null | string;
    };
    AssignRequest: {
      readerIds: components['schemas']['ReaderId'][];
      textId?: null | components['schemas']['TextId'];
      /** Format: date */
      dueOn?: null | string;
      /** Format: int32 */
      attempts: number;
      directions?: null | string;
      skipGiven: boolean;
      versions?: null | {
        [key: string]: components['schemas']['VersionId'];
      };
      onTheWay?: null | boolean;
      aloud?: null | boolean;
      texts?: null | components['schemas']['TextToGive'][];
      /** Format: date */
      visibleFrom?: null | string;
      heading?: null | string;
      note?: null | string;
      draft?: null | boolean;
      /** Format: date */
      closesOn?: null | string;
      need?: null | components['schemas']['Need'];
      place?: null | components['schemas']['WorkPlace'];
      alsoIn?: null | components['schemas']['AlsoIn'][];
      kind?: null | components['schemas']['TaskKind'];
      questions?: null | components['schemas']['QuestionId'][];
      tasks?: null | components['schemas']['TaskToGive'][];
      results?: null | components['schemas']['ResultsShown'];
      mayChange?: null | boolean;
      inOrder?: null | boolean;
      ways?: null | components['schemas']['WayFor'][];
      share?: null | boolean;
      talk?: null | boolean;
      homeDirections?: null | string;
      homeLanguage?: null | string;
      /** Format: date */
      releasesOn?: null | string;
      /** Format: int32 */
      worth?: null | number;
      papers?: null | components['schemas']['PaperFor'][];
    };
    AssignedView: {
      assignmentId: components['schemas']['AssignmentId'];
      changeId: components['schemas']['ChangeId'];
      summary: components['schemas']['Message'];
      /** Format: int32 */
      tickets: number;
      /** Format: int32 */
      texts: number;
    };
    /** Format: uuid */
    AssignmentId: string;
    AssignmentPage: {
      rows: components['schemas']['AssignmentRow'][];
      /** Format: int32 */
      all: number;
    };
    AssignmentRow: {
      id: components['schemas']['AssignmentId'];
      classId: components['schemas']['ClassId'];
      taskId: components['schemas']['TaskId'];
      kind: components['schemas']['TaskKind'];
      textId: null | components['schemas']['TextId'];
      title: string;
      /** Format: date-time */
      assignedAt: string;
      by: null | string;
      draft: boolean;
      /** Format: date */
      visibleFrom: string;
      /** Format: date */
      dueOn: null | string;
      /** Format: date */
      closesOn: null | string;
      need: components['schemas']['Need'];
      place: components['schemas']['WorkPlace'];
      results: components['schemas']['ResultsShown'];
      /** Format: date */
      releasesOn: null | string;
      /** Format: int32 */
      worth: number;
      mayChange: boolean;
      homeDirections: string;
      homeLanguage: string;
      talk: boolean;
      turnOf: null | components['schemas']['AssignmentId'];
      /** Format: int32 */
      turn: null | number;
      act: components['schemas']['AssignmentId'];
      heading: string;
      directions: string;
      note: string;
      /** Format: int32 */
      revision: number;
      /** Format: int32 */
      attempts: number;
      onTheWay: boolean;
      aloud: boolean;
      /** Format: int32 */
      tickets: number;
      /** Format: int32 */
      planned: number;
      /** Format: int32 */
      closed: number;
      /** Format: int32 */
      waiting: number;
      /** Format: int32 */
      sentBack: number;
      /** Format: int32 */
      underWay: number;
      /** Format: int32 */
      done: number;
      /** Format: int32 */
      toMark: number;
      /** Format: date-time */
      correctedAt: null | string;
      meanScore: null | components['schemas']['Probability'];
      chosen: boolean;
    };
    AssignmentView: {
      assignment: components['schemas']['AssignmentRow'];
      tickets: components['schemas']['TicketRow'][];
      together: components['schemas']['AssignmentRow'][];
    };
    /** @enum {unknown} */
    AssignmentsOrder: 'Latest' | 'Due' | 'Title';
    /** @enum {unknown} */
    AssignmentsShown: 'Everything' | 'Drafts' | 'Open' | 'ToMark' | 'Chosen';
    AssistantsPrintRequest: {
      allowed: boolean;
    };
    /**
     * @description How the attempts at one question went.
     * @enum {unknown}
     */
    AttemptMark: 'RightAtOnce' | 'AfterAnotherTry' | 'NotYet' | 'Unanswered';
    BeginRequest: {
      textId: components['schemas']['TextId'];
      versionId: components['schemas']['VersionId'];
    };
    BringRequest: {
      name: string;
      /** Format: byte */
      file: string;
      mine: boolean;
      texts: components['schemas']['TakenText'][];
    };
    BroughtText: {
      id: components['schemas']['TextId'];
      title: string;
      warnings: components['schemas']['Message'][];
    };
    BulkRequest: {
      readerIds: components['schemas']['ReaderId'][];
      /** Format: int32 */
      grade?: null | number;
      level?: null | string;
      levelSystem?: null | string;
      supports?: null | components['schemas']['Supports'];
      secretKind?: null | components['schemas']['SecretKind'];
      newSecrets: boolean;
    };
    CalendarLink: {
      link: string;
    };
    CalendarView: {
      /** Format: date-time */
      madeAt: null | string;
      madeBy: null | string;
    };
    CallMetRequest: {
      termId: components['schemas']['TermId'];
      readerId: components['schemas']['ReaderId'];
      kind: components['schemas']['GoalKind'];
      reason?: null | string;
    };
    CellProblemView: {
      column: string;
      reason: components['schemas']['Message'];
      stops: boolean;
    };
    CellView: {
      mark: components['schemas']['AttemptMark'];
      written: null | components['schemas']['GivenMark'];
      toMark: boolean;
    };
    Change: {
      id: components['schemas']['ChangeId'];
      classId: null | components['schemas']['ClassId'];
      /** Format: date-time */
      at: string;
      by: string;
      kind: components['schemas']['ChangeKind'];
      summary: components['schemas']['Message'];
      /** Format: date-time */
      undoneAt: null | string;
    };
    /** Format: uuid */
    ChangeId: string;
    /**
     * @description What kind of thing was done, which says how it is taken back.
     * @enum {unknown}
     */
    ChangeKind:
      | 'Roster'
      | 'Merged'
      | 'Transferred'
      | 'Assigned'
      | 'AssignedInClasses'
      | 'DraftsGiven'
      | 'Drafted'
      | 'DraftDiscarded'
      | 'AssignmentChanged'
      | 'Tickets'
      | 'OwnDay'
      | 'Reminded'
      | 'VersionChanged'
      | 'TextSwapped'
      | 'Goals'
      | 'GoalMet'
      | 'Groups'
      | 'CheckGiven'
      | 'CheckAgain'
      | 'CheckTakenBack'
      | 'QuestionCorrected'
      | 'ResultsTyped'
      | 'Evidence';
    ChartEffect: {
      /** Format: int32 */
      readers: number;
      sentences: components['schemas']['Message'][];
    };
    ChartRequest: {
      ownColumns: string[];
      rows: components['schemas']['ChartRow'][];
      /** Format: int32 */
      version: number;
    };
    ChartRow: {
      label: string;
      schoolYear: string;
      ages: string;
      depth: components['schemas']['Fathoms'];
      own: string[];
    };
    ChartView: {
      ownColumns: string[];
      rows: components['schemas']['ChartRow'][];
      usual: boolean;
      /** Format: int32 */
      version: number;
    };
    CheckChanged: {
      changeId: null | components['schemas']['ChangeId'];
      sentence: components['schemas']['Message'];
    };
    CheckChoices: {
      usual: components['schemas']['PartPlanView'][];
      grades: components['schemas']['ExpectedRow'][];
      colleagues: components['schemas']['ColleagueChoice'][];
      passages: components['schemas']['FormPassage'][];
    };
    /** Format: uuid */
    CheckId: string;
    /**
     * @description A section of a level check, in the order in which sections make sense.
     * @enum {unknown}
     */
    CheckPart: 'WordReading' | 'WordMeaning' | 'Maze' | 'Passages';
    /**
     * Format: uuid
     * @description The id of one part of one reader's level check.
     */
    CheckPartId: string;
    CheckPreview: {
      name: components['schemas']['Message'];
      /** Format: int32 */
      readers: number;
    };
    CheckPreviewRequest: {
      season?: null | components['schemas']['Season'];
      /** Format: date */
      opensOn?: null | string;
      for?: null | components['schemas']['AimView'];
      parts?: null | components['schemas']['CheckPart'][];
    };
    CheckReadersRequest: {
      readerIds: components['schemas']['ReaderId'][];
    };
    CheckRequest: {
      /** Format: int32 */
      revision: number;
      readerTitle?: null | string;
      directions?: null | string;
      season?: null | components['schemas']['Season'];
      plan?: null | components['schemas']['PlanView'];
      for?: null | components['schemas']['AimView'];
      /** Format: date */
      opensOn?: null | string;
      /** Format: date */
      closesOn?: null | string;
      draft: boolean;
      colleagues?: null | components['schemas']['AdultId'][];
    };
    CheckRow: {
      id: components['schemas']['CheckId'];
      season: null | components['schemas']['Season'];
      name: components['schemas']['Message'];
      readerTitle: string;
      draft: boolean;
      /** Format: date */
      opensOn: null | string;
      /** Format: date */
      closesOn: null | string;
      /** Format: date-time */
      closedAt: null | string;
      by: string;
      madeBy: components['schemas']['AdultId'];
      /** Format: date-time */
      madeAt: string;
      /** Format: int32 */
      readers: number;
      /** Format: int32 */
      finished: number;
      /** Format: int32 */
      open: number;
    };
    /**
     * @description Where a check starts looking for a reader's level.
     * @enum {unknown}
     */
    CheckStart: 'OwnLevel' | 'Band';
    CheckView: {
      id: components['schemas']['CheckId'];
      /** Format: int32 */
      revision: number;
      name: components['schemas']['Message'];
      readerTitle: string;
      directions: string;
      season: null | components['schemas']['Season'];
      plan: components['schemas']['PlanView'];
      for: components['schemas']['AimView'];
      /** Format: date */
      opensOn: null | string;
      /** Format: date */
      closesOn: null | string;
      draft: boolean;
      over: boolean;
      gone: boolean;
      by: string;
      /** Format: date-time */
      madeAt: string;
      mayChange: boolean;
      begun: boolean;
      colleagues: components['schemas']['ColleagueView'][];
      sittings: components['schemas']['SittingView'][];
      setAside: components['schemas']['SittingSetAside'][];
    };
    CheckedListView: {
      rows: components['schemas']['CheckedRowView'][];
      /** Format: int32 */
      new: number;
      /** Format: int32 */
      joins: number;
      /** Format: int32 */
      changed: number;
      /** Format: int32 */
      unchanged: number;
      /** Format: int32 */
      kept: number;
      /**
       * Format: int32
       * @default 0
       */
      asked: number;
    };
    CheckedRowView: {
      fate: components['schemas']['RowFate'];
      problems: components['schemas']['CellProblemView'][];
      twins: components['schemas']['TwinView'][];
    };
    ChildDay: {
      /** Format: date */
      day: string;
      /** Format: int32 */
      words: number;
    };
    ChildGoal: {
      kind: components['schemas']['GoalKind'];
      /** Format: double */
      target: number;
      /** Format: double */
      done: number;
      /** Format: date */
      until: string;
      /** Format: int32 */
      aWeek: null | number;
    };
    ChildReading: {
      title: string;
      /** Format: date-time */
      handedInAt: null | string;
      /** Format: date */
      dueOn: null | string;
      /** Format: int32 */
      right: number;
      /** Format: int32 */
      asked: number;
      /** Format: double */
      minutes: number;
    };
    ChildStrand: {
      name: components['schemas']['Message'];
      /** Format: int32 */
      right: number;
      /** Format: int32 */
      asked: number;
    };
    ChildView: {
      id: components['schemas']['ReaderId'];
      givenName: string;
      level: components['schemas']['Message'];
      trend: components['schemas']['Message'];
      week: components['schemas']['ChildWeek'];
      likes: components['schemas']['LikeTexts'];
      /** Format: date */
      earliestWeek: string;
      messages: components['schemas']['HomeMessage'][];
      readings: components['schemas']['ChildReading'][];
      well: components['schemas']['ChildStrand'][];
      next: components['schemas']['ChildStrand'][];
      atHome: null | components['schemas']['Message'];
      goals: components['schemas']['ChildGoal'][];
      pool: null | string[];
      together: null | components['schemas']['TogetherView'];
    };
    ChildWeek: {
      /** Format: date */
      monday: string;
      days: components['schemas']['ChildDay'][];
      /** Format: double */
      minutes: number;
      /** Format: int32 */
      before: number;
    };
    /** @description One choice, one thing to put in order, or one half of a pair. */
    Choice: {
      /** @description Empty for a second half that belongs to nothing, which is there to be left over. */
      text: string;
      /** @description Of single and multiple choice only. */
      right: boolean;
      /** @description Why it is right, or what went wrong. */
      reason: string;
      /** @description What belongs to it, in a match. */
      match?: null | string;
    };
    /**
     * @description How deep a text may be that a reader chooses.
     * @enum {unknown}
     */
    ChoiceDepth: 'WithinReach' | 'OrEasier' | 'Any';
    /**
     * @description In which form a text is that a reader chooses.
     * @enum {unknown}
     */
    ChoiceFormat: 'Any' | 'WithRecording' | 'Short';
    ChoiceRulesRequest: {
      open: boolean;
      depth?: null | components['schemas']['ChoiceDepth'];
      fiction?: null | boolean;
      without?: null | string[];
      /** Format: int32 */
      mostOpen?: null | number;
      format?: null | components['schemas']['ChoiceFormat'];
    };
    ChoiceRulesView: {
      open: boolean;
      depth: components['schemas']['ChoiceDepth'];
      fiction: null | boolean;
      without: string[];
      /** Format: int32 */
      mostOpen: number;
      format: components['schemas']['ChoiceFormat'];
      topics: string[];
      /** Format: int32 */
      fewest: number;
      /** Format: int32 */
      most: number;
    };
    /** @enum {unknown} */
    ChoiceSort: 'Both' | 'Stories' | 'Others';
    ChoicesView: {
      open: boolean;
      /** Format: int32 */
      left: number;
      offers: components['schemas']['OfferView'][];
    };
    ChosenView: {
      ticketId: components['schemas']['TicketId'];
    };
    ClassAdultRequest: {
      adultId: components['schemas']['AdultId'];
      role: components['schemas']['Part'];
    };
    ClassAdultRow: {
      adultId: components['schemas']['AdultId'];
      name: string;
      role: components['schemas']['Part'];
      leftSchool: boolean;
    };
    ClassDays: {
      classId: components['schemas']['ClassId'];
      plates: components['schemas']['ClassPlate'][];
    };
    ClassDetailsRequest: {
      name: string;
      /** Format: date */
      firstDay?: null | string;
      /** Format: date */
      lastDay?: null | string;
      /** Format: int32 */
      grade?: null | number;
    };
    ClassHead: {
      id: components['schemas']['ClassId'];
      name: string;
      code: string;
      role: components['schemas']['Part'];
      closed: boolean;
      /** Format: int32 */
      readers: number;
    };
    /**
     * Format: uuid
     * @description A class's id.
     */
    ClassId: string;
    ClassPlate: {
      assignment: components['schemas']['AssignmentRow'];
      /** Format: int32 */
      late: number;
    };
    ClassRosterView: {
      id: components['schemas']['ClassId'];
      name: string;
      code: string;
      /** Format: int32 */
      grade: null | number;
      /** Format: date */
      firstDay: null | string;
      /** Format: date */
      lastDay: null | string;
      closed: boolean;
      yearName: string;
      mayChange: boolean;
      systems: string[];
      pictures: string[];
      members: components['schemas']['MemberView'][];
      former: components['schemas']['MemberView'][];
      adults: components['schemas']['ClassAdultRow'][];
      joinings: components['schemas']['JoiningRow'][];
      askedOfUs: components['schemas']['TakingIn'][];
      weAsked: components['schemas']['TakingIn'][];
      /** Format: date-time */
      guessing: null | string;
      assistantsPrint: boolean;
      outside: components['schemas']['OutsideCounts'];
      pool: components['schemas']['PoolShown'];
    };
    ClassView: {
      id: components['schemas']['ClassId'];
      name: string;
      code: string;
      /** Format: int32 */
      grade: null | number;
      /** Format: date */
      today: string;
      term: null | components['schemas']['TermView'];
      readers: components['schemas']['RosterView'][];
      texts: components['schemas']['TextInUse'][];
      groups: components['schemas']['GroupRow'][];
      otherGroups: components['schemas']['GroupRow'][];
      signals: components['schemas']['SignalView'][];
      levelChart: components['schemas']['LevelRowView'][];
      ownColumns: string[];
      part: components['schemas']['Part'];
      mayChangeRoster: boolean;
      mayAssign: boolean;
      zoneLow: components['schemas']['Probability'];
      zoneHigh: components['schemas']['Probability'];
    };
    CloseRequest: {
      closed: boolean;
    };
    CodeView: {
      className: string;
      tiles: components['schemas']['Tile'][];
      pictures: string[];
    };
    ColleagueChoice: {
      id: components['schemas']['AdultId'];
      name: string;
    };
    ColleagueView: {
      id: components['schemas']['AdultId'];
      name: string;
    };
    CommentReply: {
      answerId: null | components['schemas']['AnswerId'];
      words: string;
      /** Format: date-time */
      at: string;
      /** Format: date-time */
      seenAt: null | string;
    };
    CommentReplyRequest: {
      answerId?: null | components['schemas']['AnswerId'];
      words?: null | string;
    };
    ConferenceWords: {
      readerId: components['schemas']['ReaderId'];
      words: string;
      by: null | string;
      /** Format: date-time */
      writtenAt: string;
    };
    ConfirmRequest: {
      token: string;
    };
    CopiesMade: {
      /** Format: int32 */
      made: number;
      taken: string[];
    };
    CopyClassRequest: {
      name: string;
      withReaders: boolean;
      /** Format: uuid */
      id?: string;
    };
    /**
     * Format: uuid
     * @description A paper copy's id.
     */
    CopyId: string;
    CopyOf: {
      assignmentId: components['schemas']['AssignmentId'];
      id: components['schemas']['AssignmentId'];
    };
    CopyRequest: {
      copies: components['schemas']['CopyOf'][];
      /** Format: int32 */
      days: number;
    };
    CopyTextRequest: {
      id?: null | components['schemas']['TextId'];
    };
    CopyView: {
      id: components['schemas']['CopyId'];
      code: string;
      title: string;
      textId: null | components['schemas']['TextId'];
      readerId: null | components['schemas']['ReaderId'];
      reader: null | string;
      /** Format: date-time */
      lentAt: null | string;
      /** Format: date */
      dueOn: null | string;
      late: boolean;
    };
    CorrectedView: {
      changeIds: components['schemas']['ChangeId'][];
      summary: components['schemas']['Message'];
    };
    CorrectionElsewhere: {
      classId: components['schemas']['ClassId'];
      name: string;
      /** Format: int32 */
      readers: number;
      /** Format: int32 */
      changes: number;
    };
    /**
     * Format: uuid
     * @description A correction's id: what a teacher said of a faulty question.
     */
    CorrectionId: string;
    CorrectionPreview: {
      /** Format: int32 */
      readers: number;
      changes: components['schemas']['RescoredView'][];
      elsewhere: components['schemas']['CorrectionElsewhere'][];
    };
    CorrectionRequest: {
      id: components['schemas']['CorrectionId'];
      right?: null | number[];
      proofs?: null | {
        [key: string]: string;
      };
      alsoIn?: null | components['schemas']['ClassId'][];
    };
    CorrectionView: {
      changeId: components['schemas']['ChangeId'];
      questionId: components['schemas']['QuestionId'];
      stem: string;
      takenOut: boolean;
      by: string;
      /** Format: date-time */
      at: string;
    };
    /**
     * @description Whether a goal will be reached.
     * @enum {unknown}
     */
    Course: 'Reached' | 'OnCourse' | 'SlightlyBehind' | 'Behind';
    /** @description One row of a rubric: something that is looked at, and what earns each of its points. */
    Criterion: {
      /** @description What is looked at; empty where the rubric has this row alone. */
      name: string;
      /** @description What earns 0, 1, 2 … points; at least two. */
      marks: string[];
    };
    /** @enum {unknown} */
    DayOfWeek: 'Sunday' | 'Monday' | 'Tuesday' | 'Wednesday' | 'Thursday' | 'Friday' | 'Saturday';
    DayRead: {
      /** Format: date */
      day: string;
      /** Format: int32 */
      readings: number;
      /** Format: int32 */
      words: number;
      /** Format: double */
      seconds: number;
      /** Format: int32 */
      atOnce: number;
      /** Format: int32 */
      asked: number;
    };
    DeleteRequest: {
      name: string;
    };
    DepthDay: {
      /** Format: date */
      day: string;
      mean: components['schemas']['Fathoms'];
      /** Format: double */
      sd: number;
      low: components['schemas']['Fathoms'];
      high: components['schemas']['Fathoms'];
    };
    /** @description A range of text depths, shallow to deep. */
    DepthRange: {
      from: components['schemas']['Fathoms'];
      to: components['schemas']['Fathoms'];
    };
    /** @description Depths of many readers, as a school may see them. */
    DepthSpread: {
      /**
       * Format: int32
       * @description How many there are.
       */
      readers: number;
      low: null | components['schemas']['Fathoms'];
      quarter: null | components['schemas']['Fathoms'];
      middle: null | components['schemas']['Fathoms'];
      threeQuarters: null | components['schemas']['Fathoms'];
      high: null | components['schemas']['Fathoms'];
    };
    DeskAnswer: {
      what: components['schemas']['DeskStep'];
      readerId: null | components['schemas']['ReaderId'];
      reader: null | string;
      copy: null | components['schemas']['CopyView'];
    };
    DeskRequest: {
      typed: string;
      readerId?: null | components['schemas']['ReaderId'];
      /** Format: int32 */
      days: number;
    };
    /** @enum {unknown} */
    DeskStep: 'Reader' | 'Lent' | 'Returned';
    DetailsRequest: {
      givenName: string;
      familyName?: null | string;
      /** Format: int32 */
      grade: number;
      details?: null | components['schemas']['ReaderDetails'];
      guardianMail?: null | string;
      supports: components['schemas']['Supports'];
      before?: null | components['schemas']['SeenDetails'];
    };
    DictatedView: {
      words: string;
    };
    DiscardRequest: {
      gone: boolean;
    };
    DoneView: {
      changeId: null | components['schemas']['ChangeId'];
      summary: components['schemas']['Message'];
      /** Format: int32 */
      done: number;
      /** Format: int32 */
      left: number;
    };
    DraftFileView: {
      texts: components['schemas']['DraftTextView'][];
      notes: components['schemas']['Message'][];
    };
    DraftOfRecord: {
      marks: components['schemas']['MarkOfRecord'][];
      /** Format: int32 */
      lastWord: null | number;
      /** Format: double */
      seconds: number;
      /** Format: int32 */
      pauses: number;
      sure: components['schemas']['Probability'];
      figures: components['schemas']['FiguresOfRecord'];
      times: number[][];
    };
    DraftPictureView: {
      name: string;
      alt: string;
      type: null | string;
      /** Format: byte */
      bytes: null | string;
    };
    DraftTextView: {
      /** Format: int32 */
      number: number;
      title: string;
      kind: string;
      topic: string;
      kindGuessed: boolean;
      topicGuessed: boolean;
      fiction: boolean;
      start: string;
      /** Format: int32 */
      words: number;
      /** Format: int32 */
      versions: number;
      /** Format: int32 */
      questions: number;
      depth: null | components['schemas']['Fathoms'];
      /** Format: double */
      depthError: null | number;
      levelName: null | components['schemas']['Message'];
      remarks: components['schemas']['RemarkView'][];
      suggestedWords: components['schemas']['SuggestedWord'][];
      pictures: components['schemas']['DraftPictureView'][];
    };
    DraftView: {
      rows: components['schemas']['ListRowView'][];
      /** Format: date-time */
      savedAt: null | string;
    };
    DraftWeekRequest: {
      drafts: components['schemas']['NewDraft'][];
      /** Format: int32 */
      attempts: number;
    };
    DraftsRequest: {
      assignmentIds: components['schemas']['AssignmentId'][];
      checkIds?: null | components['schemas']['CheckId'][];
    };
    EarlierGoalView: {
      /** Format: double */
      target: number;
      /** Format: date-time */
      setAt: string;
      reason: string;
      by: null | string;
    };
    /** @enum {unknown} */
    EarlierReading: 'Given' | 'UnderWay' | 'Read' | 'InLevelCheck';
    EarlierView: {
      /** Format: int32 */
      round: number;
      words: string;
      /** Format: date-time */
      at: string;
      mark: null | components['schemas']['GivenMark'];
      sentBack: string;
    };
    EndedSignal: {
      id: components['schemas']['SignalId'];
      kind: components['schemas']['SignalKind'];
      readerId: null | components['schemas']['ReaderId'];
      how: components['schemas']['SignalEnd'];
      /** Format: date-time */
      at: string;
      by: null | string;
      stands: boolean;
    };
    EndingsView: {
      /** Format: int32 */
      readers: number;
      /** Format: int32 */
      ofReaders: number;
      /** Format: int32 */
      adults: number;
      /** Format: int32 */
      ofAdults: number;
      /** Format: int32 */
      classes: number;
      /** Format: int32 */
      ofClasses: number;
      /** Format: int32 */
      type: null | number;
    };
    /**
     * Format: uuid
     * @description The id of something that says something about a reader's level.
     */
    EvidenceId: string;
    /**
     * @description Where evidence came from, as a teacher sees it.
     * @enum {unknown}
     */
    EvidenceSource: 'Quiz' | 'Level' | 'RunningRecord' | 'LevelCheck';
    ExpectedRow: {
      grade: string;
      depth: components['schemas']['Fathoms'];
      /** Format: double */
      wordReading: number;
      /** Format: double */
      wordMeaning: number;
      /** Format: double */
      passage: number;
    };
    FacetValue: {
      value: string;
      /** Format: int32 */
      count: number;
    };
    FacetView: {
      name: string;
      values: components['schemas']['FacetValue'][];
    };
    /**
     * Format: double
     * @description A place on the one difficulty scale that readers and texts share: 30 fm is what is typically read at the end of grade 3; 10 fm are one logit.
     */
    Fathoms: number;
    /** @description Which parts of one line are said at once. What is not said at once is a tap away. */
    FeedbackShown: {
      reason: boolean;
      proof: boolean;
    };
    FeedbackSpell: {
      /** Format: double */
      seconds: number;
      /** Format: date-time */
      startedAt: string;
    };
    FeedbackUse: {
      /** Format: double */
      seconds: number;
      /** Format: date-time */
      lastAt: null | string;
      replies: components['schemas']['CommentReply'][];
      talkedOver: components['schemas']['TalkedOver'][];
    };
    FiguresOfRecord: {
      /** Format: int32 */
      words: number;
      /** Format: int32 */
      errors: number;
      /** Format: int32 */
      selfCorrections: number;
      /** Format: int32 */
      repetitions: number;
      accuracy: components['schemas']['Probability'];
      /** Format: double */
      wordsPerError: null | number;
      /** Format: double */
      selfCorrectionRatio: null | number;
      wordsCorrectPerMinute: components['schemas']['WordsPerMinute'];
      /** Format: int32 */
      pauses: number;
      zone: components['schemas']['AccuracyZone'];
      /** Format: int32 */
      percentile: null | number;
      /** Format: int32 */
      middle: null | number;
      season: components['schemas']['Season'];
      retelling: null | components['schemas']['Probability'];
    };
    FileRequest: {
      name: string;
      /** Format: byte */
      file: string;
    };
    FinishedWeek: {
      week: components['schemas']['ChildWeek'];
      finished: components['schemas']['ChildReading'][];
    };
    FirstRunRequest: {
      schoolName: string;
      timeZone: string;
      name: string;
      userName: string;
      password: string;
      /** Format: date */
      yearFirstDay: string;
      /** Format: date */
      yearLastDay: string;
    };
    FitCount: {
      /** Format: int32 */
      within: number;
      /** Format: int32 */
      easy: number;
      /** Format: int32 */
      tooDeep: number;
    };
    FitRequest: {
      readerIds: components['schemas']['ReaderId'][];
      textIds: components['schemas']['TextId'][];
    };
    FitView: {
      textId: components['schemas']['TextId'];
      readerId: components['schemas']['ReaderId'];
      versionId: components['schemas']['VersionId'];
      version: string;
      versionDepth: components['schemas']['Fathoms'];
      /** Format: int32 */
      forecast: number;
      zone: components['schemas']['Zone'];
      before: null | components['schemas']['EarlierReading'];
      versions: components['schemas']['VersionFit'][];
    };
    FormPassage: {
      versionId: components['schemas']['VersionId'];
      title: string;
      depth: components['schemas']['Fathoms'];
      /** Format: int32 */
      words: number;
      /** Format: int32 */
      questions: number;
    };
    FormulaView: {
      formula: string;
      /** Format: double */
      grade: number;
      /** Format: double */
      weight: number;
    };
    Found: {
      id: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      userName: string;
      /** Format: int32 */
      grade: number;
      leftSchool: boolean;
      classes: string;
      asks: boolean;
    };
    /** @description A person's mark of a written answer. It stays what it was when the rubric changes. */
    GivenMark: {
      /** @description Row by row of the rubric it was given by. */
      points: number[];
      /**
       * Format: int32
       * @description The most points there were; at least 1.
       */
      of: number;
    };
    GoalCheck: {
      checkId: components['schemas']['CheckId'];
      name: string;
      /** Format: date */
      day: string;
      level: components['schemas']['Fathoms'];
      /** Format: double */
      half: number;
      contradicts: boolean;
      suggested: number[];
      ends: number[];
    };
    /**
     * Format: uuid
     * @description A goal's id.
     */
    GoalId: string;
    /** @enum {unknown} */
    GoalKind: 'Comprehension' | 'Words' | 'Depth';
    GoalLine: {
      readerId: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      depth: components['schemas']['Fathoms'];
      usualDepth: null | components['schemas']['Fathoms'];
      rate: components['schemas']['WordsPerMinute'];
      /** Format: double */
      usualWeek: number;
      /** Format: int32 */
      aim: null | number;
      /** Format: int32 */
      schoolDaysLeft: number;
      checks: components['schemas']['GoalCheck'][];
      kinds: components['schemas']['GoalOfKind'][];
    };
    GoalOfKind: {
      kind: components['schemas']['GoalKind'];
      /** Format: double */
      soFar: null | number;
      weeks: (null | number)[];
      suggested: number[];
      ends: number[];
      goal: null | components['schemas']['GoalStandingView'];
      earlier: components['schemas']['EarlierGoalView'][];
    };
    GoalStandingView: {
      kind: components['schemas']['GoalKind'];
      /** Format: double */
      target: number;
      /** Format: double */
      done: number;
      /** Format: double */
      dueNow: number;
      chance: components['schemas']['Probability'];
      course: components['schemas']['Course'];
      /** Format: date-time */
      setAt: string;
      reason: string;
      id: components['schemas']['GoalId'];
      metReason: null | string;
      mayCallMet: boolean;
    };
    GoalTarget: {
      readerId: components['schemas']['ReaderId'];
      kind: components['schemas']['GoalKind'];
      /** Format: double */
      target: number;
    };
    GoalTermView: {
      id: components['schemas']['TermId'];
      name: string;
      /** Format: date */
      firstDay: string;
      /** Format: date */
      lastDay: string;
      place: components['schemas']['TermPlace'];
    };
    GoalsView: {
      term: null | components['schemas']['GoalTermView'];
      terms: components['schemas']['GoalTermView'][];
      /** Format: int32 */
      weeksInTerm: number;
      /** Format: double */
      weeksGone: number;
      /** Format: int32 */
      minutesADay: number;
      /** Format: int32 */
      schoolDaysLeft: number;
      ambitions: components['schemas']['Probability'][];
      outside: components['schemas']['OutsideCounts'];
      lines: components['schemas']['GoalLine'][];
    };
    GoneRequest: {
      gone: boolean;
    };
    /** @description The comprehension a school aims at in a grade. */
    GradeAim: {
      /** Format: int32 */
      grade: number;
      /**
       * Format: int32
       * @description Mean first-attempt score, 1 to 100.
       */
      percent: number;
    };
    /** @enum {unknown} */
    GradebookForm: 'Csv' | 'Xlsx' | 'Zip' | 'Xapi' | 'OneRoster';
    GroupFixView: {
      sentence: components['schemas']['Message'];
      rules: components['schemas']['GroupRulesBody'];
    };
    /**
     * Format: uuid
     * @description A group's id.
     */
    GroupId: string;
    GroupLeader: {
      id: components['schemas']['AdultId'];
      name: string;
    };
    /** @description What became of a group: over all who were in it. */
    GroupPast: {
      groupId: components['schemas']['GroupId'];
      group: string;
      /**
       * Format: date-time
       * @description When the first reader came.
       */
      from: string;
      /**
       * Format: date-time
       * @description When the last one left; null while there is one.
       */
      to: null | string;
      /**
       * Format: int32
       * @description Who was in it at any time.
       */
      readers: number;
      /**
       * Format: int32
       * @description Meetings that were held.
       */
      held: number;
      change: null | components['schemas']['MeanRange'];
    };
    GroupPastView: {
      groups: components['schemas']['GroupPast'][];
      stays: components['schemas']['GroupStay'][];
    };
    GroupRow: {
      id: components['schemas']['GroupId'];
      name: string;
      /** Format: int32 */
      position: number;
      /** Format: date-time */
      formedAt: string;
      readerIds: components['schemas']['ReaderId'][];
      leader: null | components['schemas']['GroupLeader'];
      /** Format: date-time */
      changedAt: string;
      /** Format: uuid */
      grouping?: string;
    };
    GroupRulesBody: {
      /** Format: int32 */
      groups: number;
      /** Format: int32 */
      smallest: number;
      /** Format: int32 */
      largest: number;
      together?: null | components['schemas']['PairBody'][];
      apart?: null | components['schemas']['PairBody'][];
      stays?: null | components['schemas']['PlaceBody'][];
      notIn?: null | components['schemas']['PlaceBody'][];
      leftOut?: null | components['schemas']['ReaderId'][];
      /** Format: double */
      moveCost?: null | number;
      /** Format: double */
      strands?: null | number;
      /** Format: double */
      rate?: null | number;
      cannot?: null | components['schemas']['TimesBody'][];
      shut?: null | components['schemas']['DayOfWeek'][];
    };
    /** @description A reader's time in a group, and what became of it. */
    GroupStay: {
      readerId: components['schemas']['ReaderId'];
      groupId: components['schemas']['GroupId'];
      group: string;
      /** Format: date-time */
      from: string;
      /**
       * Format: date-time
       * @description Null while it goes on.
       */
      to: null | string;
      /**
       * Format: double
       * @description Fathoms from the level as it began to the level as it ended, or now; null where one of them is not known.
       */
      change: null | number;
      /**
       * Format: int32
       * @description The group's meetings that were held meanwhile.
       */
      held: number;
      /**
       * Format: int32
       * @description Those the reader was at.
       */
      here: number;
    };
    /**
     * Format: uuid
     * @description A grouping's id.
     */
    GroupingId: string;
    GroupingRequest: {
      name?: null | string;
      others?: null | components['schemas']['ClassId'][];
    };
    GroupingView: {
      id: components['schemas']['GroupingId'];
      name: string;
      others: components['schemas']['ClassId'][];
    };
    GuardianName: {
      name: string;
      confirmed: boolean;
    };
    GuardianRow: {
      readerId: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      guardianMail: null | string;
      guardians: components['schemas']['GuardianName'][];
      /** Format: date-time */
      codeUntil: null | string;
      codeUsed: boolean;
      codeTakenBack: boolean;
    };
    GuardianTakenBack: {
      sentence: components['schemas']['Message'];
    };
    GuardiansInvited: {
      /** Format: int32 */
      sent: number;
    };
    HandOverRequest: {
      classId: components['schemas']['ClassId'];
    };
    HandedOver: {
      teacherName: string;
      className: string;
      code: string;
    };
    HomeAnswer: {
      id: components['schemas']['HomeAnswerId'];
      words: string;
      by: null | string;
      /** Format: date-time */
      at: string;
      /** Format: date-time */
      seenAt: null | string;
    };
    /**
     * Format: uuid
     * @description Names an answer from home, which the guardian's device makes.
     */
    HomeAnswerId: string;
    /** @enum {unknown} */
    HomeLook: 'Pictures' | 'Words';
    HomeMessage: {
      id: components['schemas']['HomeMessageId'];
      words: string;
      by: null | string;
      /** Format: date-time */
      at: string;
      answers: components['schemas']['HomeAnswer'][];
    };
    /**
     * Format: uuid
     * @description Names a message to a reader's family.
     */
    HomeMessageId: string;
    HomeTextView: {
      title: string;
      pages: string[][];
      wordsToKnow: components['schemas']['MyWord'][];
      ask: null | components['schemas']['AskAtHome'];
    };
    HomeWordsRequest: {
      words?: null | string;
    };
    ImportConsent: {
      /** Format: int32 */
      typed?: null | number;
    };
    /**
     * Format: uuid
     * @description The id of a roster that was sent in a file.
     */
    ImportId: string;
    ImportPreview: {
      print: string;
      counts: components['schemas']['KindCounts'][];
      /** Format: int32 */
      moved: number;
      /** Format: int32 */
      linked: number;
      lines: components['schemas']['PreviewLine'][];
      /** Format: int32 */
      linesInAll: number;
      problems: components['schemas']['ProblemLine'][];
      /** Format: int32 */
      stopped: number;
      /** Format: int32 */
      noted: number;
      orgs: components['schemas']['OrgLine'][];
      /** Format: int32 */
      steps: number;
      source: string;
      asksOrg: boolean;
      endings: components['schemas']['EndingsView'];
    };
    ImportRow: {
      id: components['schemas']['ImportId'];
      name: string;
      /** Format: date-time */
      madeAt: string;
      state: components['schemas']['ImportState'];
      changeId: null | components['schemas']['ChangeId'];
    };
    /** @enum {unknown} */
    ImportStage: 'Reading' | 'Comparing' | 'Writing';
    /**
     * @description Where a roster file stands.
     * @enum {unknown}
     */
    ImportState: 'Waiting' | 'Working' | 'Ready' | 'Applied' | 'Failed' | 'Undone';
    ImportView: {
      id: components['schemas']['ImportId'];
      name: string;
      /** Format: date-time */
      madeAt: string;
      org: null | string;
      state: components['schemas']['ImportState'];
      /** Format: double */
      progress: number;
      stage: null | components['schemas']['ImportStage'];
      preview: null | components['schemas']['ImportPreview'];
      error: null | components['schemas']['Message'];
      changeId: null | components['schemas']['ChangeId'];
      mends: components['schemas']['MendRow'][];
    };
    ImportWish: {
      org?: null | string;
      mends: components['schemas']['MendRow'][];
    };
    ImportsView: {
      imports: components['schemas']['ImportRow'][];
      source: null | string;
    };
    InsteadView: {
      asked: string;
      instead: string;
    };
    InviteGuardiansRequest: {
      readerIds: components['schemas']['ReaderId'][];
    };
    InviteRequest: {
      name: string;
      mail?: null | string;
      lead: boolean;
      post?: null | components['schemas']['Post'];
      /** Format: uuid */
      id?: string;
    };
    InviteSeveralRequest: {
      people: components['schemas']['Invitee'][];
      post: components['schemas']['Post'];
    };
    InvitedSeveral: {
      invited: components['schemas']['InvitedView'][];
      changeId: null | components['schemas']['ChangeId'];
    };
    InvitedView: {
      adultId: components['schemas']['AdultId'];
      name: string;
      userName: string;
      link: string;
      mailed: boolean;
      /** Format: date-time */
      until: string;
      changeId: null | components['schemas']['ChangeId'];
    };
    Invitee: {
      id: components['schemas']['AdultId'];
      name: string;
      mail?: null | string;
    };
    JoinDecision: {
      accept: boolean;
      sameAs?: null | components['schemas']['ReaderId'];
      /** Format: int32 */
      grade: number;
    };
    JoinRequest: {
      id: components['schemas']['JoiningId'];
      code: string;
      givenName: string;
      familyName?: null | string;
    };
    /**
     * Format: uuid
     * @description The id of somebody's asking to join with a class code.
     */
    JoiningId: string;
    JoiningRow: {
      id: components['schemas']['JoiningId'];
      givenName: string;
      familyName: string;
      /** Format: date-time */
      askedAt: string;
    };
    JsonElement: unknown;
    JudgeRequest: {
      rules: components['schemas']['GroupRulesBody'];
      groups: components['schemas']['NextGroup'][];
    };
    JudgedView: {
      /** Format: double */
      cost: number;
      /** Format: double */
      nowCost: null | number;
      placements: components['schemas']['PlacementView'][];
      broken: components['schemas']['Message'][];
    };
    JudgementRequest: {
      level: string;
      system?: null | string;
      /** Format: double */
      sd: number;
      reason?: null | string;
      /** Format: uuid */
      id?: string;
    };
    KeepMazeRequest: {
      /** Format: int32 */
      draft: number;
    };
    KeepRequest: {
      /** Format: int32 */
      revision: number;
      marks?: null | components['schemas']['MarkOfRecord'][];
      /** Format: double */
      seconds: number;
      /** Format: int32 */
      lastWord?: null | number;
      /** Format: int32 */
      pauses: number;
      retelling?: null | {
        [key: string]: number;
      };
      answers?: null | components['schemas']['AnswerOfRecord'][];
      note?: null | string;
      /** Format: date-time */
      readAt?: null | string;
      done: boolean;
    };
    KeepWordRequest: {
      ticketId?: null | components['schemas']['TicketId'];
      text?: null | string;
      kept: boolean;
      /** Format: date-time */
      at: string;
    };
    KeptComments: {
      comments: string[];
    };
    /** @description What a change would do to one kind of thing. */
    KindCounts: {
      kind: components['schemas']['RosterKind'];
      /** Format: int32 */
      added: number;
      /** Format: int32 */
      changed: number;
      /** Format: int32 */
      ended: number;
      /** Format: int32 */
      back: number;
      /** Format: int32 */
      all?: number;
    };
    LabelView: {
      system: string;
      label: string;
    };
    LaidItem: {
      kind: components['schemas']['TaskKind'];
      title: string;
      /** Format: date */
      visibleFrom: string;
      /** Format: date */
      dueOn: null | string;
      /** Format: int32 */
      had: number;
      gone: boolean;
    };
    /** @enum {unknown} */
    Language: 'English' | 'Spanish';
    LayRequest: {
      /** Format: int32 */
      revision: number;
      readerIds: components['schemas']['ReaderId'][];
      /** Format: date */
      from: string;
      ids: components['schemas']['AssignmentId'][];
      draft: boolean;
      /** @default false */
      oneByOne: boolean;
    };
    LeadRequest: {
      adultId?: null | components['schemas']['AdultId'];
    };
    LeaveOutRequest: {
      ids: components['schemas']['EvidenceId'][];
      reason?: null | string;
    };
    LevelLike: {
      title: string;
      /** Format: double */
      place: number;
    };
    LevelRowView: {
      grade: string;
      schoolYear: string;
      ages: string;
      depth: components['schemas']['Fathoms'];
      own: string[];
    };
    /**
     * Format: uuid
     * @description The id of a level somebody set for a reader.
     */
    LevelSetId: string;
    LibraryAnswer: {
      /** Format: int32 */
      all: number;
      /** Format: int32 */
      for: number;
      rows: components['schemas']['LibraryRow'][];
      facets: components['schemas']['FacetView'][];
      instead: components['schemas']['InsteadView'][];
      partly: boolean;
    };
    /** @description Ten fathoms of the library. */
    LibraryBand: {
      /**
       * Format: double
       * @description The shallowest; null for the first band, which has no end upwards.
       */
      from: null | number;
      /**
       * Format: double
       * @description Up to here and not to it; null for the last.
       */
      to: null | number;
      /**
       * Format: int32
       * @description In the library.
       */
      versions: number;
      /**
       * Format: int32
       * @description Of them, those read in full at least once.
       */
      read: number;
      /**
       * Format: int32
       * @description Full readings.
       */
      readings: number;
      /**
       * Format: int32
       * @description Whose level lies here; null where they are too few to tell of.
       */
      readers: null | number;
    };
    LibraryRow: {
      id: components['schemas']['TextId'];
      title: string;
      kind: string;
      topic: string;
      fiction: boolean;
      blurb: string;
      /** Format: int32 */
      questions: number;
      /** Format: int32 */
      wordsToKnow: number;
      whose: string;
      mine: boolean;
      /** Format: int32 */
      fits: number;
      /** Format: int32 */
      readHere: number;
      /** Format: int32 */
      used: number;
      /** Format: double */
      minutes: number;
      versions: components['schemas']['LibraryVersion'][];
    };
    LibraryVersion: {
      id: components['schemas']['VersionId'];
      label: string;
      /** Format: int32 */
      words: number;
      depth: components['schemas']['Fathoms'];
      /** Format: double */
      depthError: number;
    };
    LikeText: {
      title: string;
      /** Format: double */
      at: number;
    };
    LikeTexts: {
      sixWeeksAgo: null | components['schemas']['LikeText'];
      now: null | components['schemas']['LikeText'];
      goal: null | components['schemas']['LikeText'];
    };
    /**
     * @description How much a reader liked a text, from least to most.
     * @enum {unknown}
     */
    Liking: 'NotForMe' | 'AllRight' | 'Good' | 'Favourite';
    /** @enum {unknown} */
    ListField:
      | 'None'
      | 'SourceId'
      | 'GivenName'
      | 'FamilyName'
      | 'Name'
      | 'Grade'
      | 'Level'
      | 'Class'
      | 'GuardianMail'
      | 'HomeLanguage';
    ListFilter: {
      asked: string;
    };
    ListRequest: {
      rows: components['schemas']['ListRowView'][];
      levelSystem: string;
    };
    ListRowView: {
      sourceId: null | string;
      givenName: null | string;
      familyName: null | string;
      grade: null | string;
      level: null | string;
      class: null | string;
      guardianMail: null | string;
      details: null | components['schemas']['ReaderDetails'];
      sameAs: null | components['schemas']['ReaderId'];
    };
    /** @description A word to practise. */
    ListedWord: {
      text: string;
      part: string;
      /** @description In words that are easier than the word. */
      meaning: string;
      /** @description A sentence that uses it; may be empty. */
      example: string;
    };
    /** @enum {unknown} */
    ListeningState: 'Waiting' | 'Listening' | 'Heard' | 'Failed';
    LogLine: {
      row: components['schemas']['LogRow'];
      marks: components['schemas']['AttemptMark'][];
    };
    LogRow: {
      readerId: components['schemas']['ReaderId'];
      /** Format: date-time */
      at: string;
      ticketId: null | components['schemas']['TicketId'];
      ownReadingId: null | components['schemas']['OwnReadingId'];
      textId: null | components['schemas']['TextId'];
      kind: null | components['schemas']['TaskKind'];
      title: string;
      version: string;
      depth: null | components['schemas']['Fathoms'];
      /** Format: double */
      seconds: number;
      full: boolean;
      /** Format: int32 */
      words: number;
      /** Format: int32 */
      keptWords: number;
      score: null | components['schemas']['Probability'];
      recordId: null | components['schemas']['RecordId'];
      /** Format: double */
      soundSeconds: null | number;
    };
    LogView: {
      spans: components['schemas']['SpansView'];
      lines: components['schemas']['LogLine'][];
      more: boolean;
    };
    /** @description A sentence of the text with its words, for showing what makes a text hard. */
    LongSentence: {
      sentence: string;
      /** Format: int32 */
      words: number;
    };
    Look: {
      /** Format: date-time */
      at: string;
      by: null | string;
      what: components['schemas']['LookKind'];
      reader: null | string;
      note: components['schemas']['Message'];
    };
    /**
     * @description What was looked at, taken out or deleted.
     * @enum {unknown}
     */
    LookKind:
      | 'ReaderSeen'
      | 'RosterExported'
      | 'RecordExported'
      | 'GradebookExported'
      | 'CardsPrinted'
      | 'ListPrinted'
      | 'LettersPrinted'
      | 'LettersMailed'
      | 'ReaderDeleted';
    LookRequest: {
      readerIds: components['schemas']['ReaderId'][];
      /** Format: date */
      from: string;
    };
    MadeClass: {
      id: components['schemas']['ClassId'];
      changeId: null | components['schemas']['ChangeId'];
    };
    MadeImport: {
      id: components['schemas']['ImportId'];
    };
    /**
     * @description What happened to a word, in the terms of running records.
     * @enum {unknown}
     */
    MarkKind: 'Correct' | 'Substitution' | 'Omission' | 'Insertion' | 'Repetition' | 'SelfCorrection' | 'Told';
    MarkOfRecord: {
      /** Format: int32 */
      index: number;
      kind: components['schemas']['MarkKind'];
      heard: string;
      used: string;
      /** Format: int32 */
      span: number;
      doubt: boolean;
    };
    MarkRequest: {
      points: number[];
      comment?: null | string;
    };
    MarkView: {
      /** Format: date-time */
      at: string;
      what: components['schemas']['EvidenceSource'];
      place: components['schemas']['Fathoms'];
      note: components['schemas']['Message'];
      ticketId: null | components['schemas']['TicketId'];
      /** Format: double */
      moved: null | number;
      leftOut: boolean;
    };
    MarkedView: {
      state: components['schemas']['TicketState'];
    };
    /** @description A piece of a maze passage: words as they are, or a choice of three. */
    MazePiece: {
      /** @description The words; for a choice, what stands between it and the word before. */
      text: string;
      /** @description Three words in the order they are shown; empty where nothing is to be chosen. */
      choices: string[];
      /**
       * Format: int32
       * @description Which of them belongs there.
       */
      right: number;
    };
    MazeView: {
      /** Format: int32 */
      draft: number;
      pieces: components['schemas']['MazePiece'][];
      kept: boolean;
      by: null | string;
      /** Format: date-time */
      at: null | string;
    };
    /** @description A mean over readers with its 90 % range. */
    MeanRange: {
      /**
       * Format: double
       * @description In the unit of what was measured.
       */
      mean: number;
      /**
       * Format: double
       * @description Half of the 90 % range of that mean.
       */
      half: number;
      /**
       * Format: int32
       * @description Whose figure is known.
       */
      readers: number;
    };
    /** @description One measure of a grade or class. */
    MeasureFigures: {
      measure: components['schemas']['SchoolMeasure'];
      now: null | components['schemas']['MeanRange'];
      before: null | components['schemas']['MeanRange'];
      change: null | components['schemas']['MeanRange'];
      againstRest: null | components['schemas']['MeanRange'];
    };
    MeasureRequest: {
      text: string;
      /** Format: double */
      sentenceLength?: null | number;
      /** Format: double */
      unfamiliar?: null | number;
      taught?: null | string[];
    };
    MeasureView: {
      /** Format: int32 */
      words: number;
      /** Format: int32 */
      sentences: number;
      /** Format: int32 */
      syllables: number;
      /** Format: int32 */
      distinctWords: number;
      /** Format: double */
      fleschKincaidGrade: number;
      /** Format: double */
      spache: number;
      /** Format: double */
      daleChall: number;
      /** Format: double */
      gradeEquivalent: number;
      /** Format: double */
      rarityGrades: number;
      short: boolean;
      formulas: components['schemas']['FormulaView'][];
      rarestWords: string[];
      longestSentences: components['schemas']['LongSentence'][];
    };
    MeasuredView: {
      depth: null | components['schemas']['Fathoms'];
      /** Format: double */
      depthError: null | number;
      levelName: null | components['schemas']['Message'];
      plain: string;
      measure: null | components['schemas']['MeasureView'];
      why: null | components['schemas']['TextWhy'];
      remarks: components['schemas']['RemarkView'][];
      patterns: components['schemas']['PatternUseView'][];
      breaks: components['schemas']['PatternBreak'][];
      ifChanged: null | components['schemas']['Fathoms'];
    };
    MeetingGroupView: {
      groupId: components['schemas']['GroupId'];
      name: string;
      readerIds: components['schemas']['ReaderId'][];
      /** Format: double */
      need: number;
      points: components['schemas']['PointView'][];
      leader: null | string;
    };
    MeetingGuest: {
      id: components['schemas']['ReaderId'];
      givenName: string;
    };
    /**
     * Format: uuid
     * @description A meeting's id.
     */
    MeetingId: string;
    MeetingPlanned: {
      id: components['schemas']['MeetingId'];
      groupId: components['schemas']['GroupId'];
      /** Format: date */
      day: string;
      startsAt?: null | string;
      /** Format: int32 */
      minutes: number;
      textId?: null | components['schemas']['TextId'];
      point: components['schemas']['PointKind'];
      strand?: null | components['schemas']['Strand'];
      words: string;
    };
    MeetingRow: {
      id: components['schemas']['MeetingId'];
      classId: components['schemas']['ClassId'];
      groupId: components['schemas']['GroupId'];
      group: string;
      /** Format: date */
      day: string;
      startsAt: null | string;
      /** Format: int32 */
      minutes: number;
      textId: null | components['schemas']['TextId'];
      title: null | string;
      point: components['schemas']['PointKind'];
      strand: null | components['schemas']['Strand'];
      words: string;
      /** Format: date-time */
      begunAt: null | string;
      /** Format: date-time */
      endedAt: null | string;
      /** Format: int32 */
      seen: number;
    };
    MeetingView: {
      meeting: components['schemas']['MeetingRow'];
      readers: components['schemas']['ReaderId'][];
      seen: components['schemas']['SeenRow'][];
      pages: string[][];
      ask: null | components['schemas']['AskView'];
      phrases: components['schemas']['Observation'][];
      before: null | components['schemas']['MeetingRow'];
      beforeSeen: components['schemas']['SeenRow'][];
      next: null | components['schemas']['NextMeetingView'];
      guests: components['schemas']['MeetingGuest'][];
      listens: boolean;
    };
    MeetingWeekView: {
      /** Format: date */
      monday: string;
      days: string[];
      groups: components['schemas']['MeetingGroupView'][];
      meetings: components['schemas']['MeetingRow'][];
    };
    MeetingsRequest: {
      meetings: components['schemas']['MeetingPlanned'][];
    };
    MemberView: {
      id: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      userName: string;
      /** Format: int32 */
      grade: number;
      details: components['schemas']['ReaderDetails'];
      guardianMail: null | string;
      secretKind: components['schemas']['SecretKind'];
      supports: components['schemas']['Supports'];
      fromSource: boolean;
      /** Format: date-time */
      signedInAt: null | string;
      /** Format: date */
      since: string;
      /** Format: date */
      until: null | string;
      /** Format: int32 */
      guardians: number;
      picture: string;
    };
    MendRow: {
      file: string;
      /** Format: int32 */
      line: number;
      column: null | string;
      value: null | string;
    };
    MergeRequest: {
      otherId: components['schemas']['ReaderId'];
    };
    /** @description A sentence for people: its place in the catalogue, and what goes into it. It is put into words where it is read, in the language of whoever reads it. */
    Message: {
      /** @description The English sentence with `{{0}}`, `{{1}}` and `{{count}}` where its values go. */
      key: string;
      /** @description What goes into it, in order. */
      values: null | components['schemas']['MessageValue'][];
      /**
       * Format: int64
       * @description The number by which a language chooses between one and many; null where none does.
       */
      count?: null | number;
    };
    /** @description What goes into a message: one of these. */
    MessageValue: {
      /** @description A name or somebody's own words, shown as they are. */
      text?: null | string;
      /** Format: double */
      number?: null | number;
      /**
       * Format: int32
       * @description Decimals of the number.
       */
      digits?: null | number;
      /** Format: date */
      day?: null | string;
      /** Format: date-time */
      time?: null | string;
      message?: null | components['schemas']['Message'];
      /** @description Several, joined by commas. */
      list?: null | components['schemas']['MessageValue'][];
    };
    MissedQuestion: {
      questionId: components['schemas']['QuestionId'];
      textId: components['schemas']['TextId'];
      title: string;
      stem: string;
      strand: components['schemas']['Strand'];
      kind: components['schemas']['QuestionKind'];
      /** Format: int32 */
      asked: number;
      /** Format: int32 */
      atOnce: number;
      /** Format: int32 */
      later: number;
      missedBy: components['schemas']['ReaderId'][];
      /** Format: date-time */
      last: string;
    };
    MoveRequest: {
      readerIds: components['schemas']['ReaderId'][];
      toClassId: components['schemas']['ClassId'];
    };
    MovedItem: {
      /** Format: int32 */
      at: number;
      /** Format: int32 */
      week: number;
      /** Format: int32 */
      day: number;
      /** Format: int32 */
      days?: null | number;
    };
    MyAnswerRequest: {
      id: components['schemas']['AnswerId'];
      /** Format: int32 */
      item: number;
      picks?: null | number[];
      /** Format: date-time */
      at: string;
      /** Format: int32 */
      milliseconds: number;
    };
    MyAttempt: {
      answerId: components['schemas']['AnswerId'];
      picks: number[];
      words: string;
      correct: null | boolean;
      /** Format: int32 */
      fitting: number;
      /** Format: int32 */
      of: number;
      reason: string;
    };
    MyCheck: {
      id: components['schemas']['SittingId'];
      title: string;
      /** Format: date */
      closesOn: null | string;
      begun: boolean;
      /** Format: int32 */
      left: number;
    };
    MyCheckView: {
      id: components['schemas']['SittingId'];
      title: string;
      directions: string;
      parts: components['schemas']['MyPart'][];
      now: null | components['schemas']['CheckPart'];
      stage: null | components['schemas']['MyStage'];
      /** Format: double */
      left: number;
      timerShown: boolean;
      oneChoice: boolean;
      tomorrow: boolean;
      /**
       * Format: int32
       * @default 0
       */
      refused: number;
    };
    MyGoal: {
      kind: components['schemas']['GoalKind'];
      /** Format: double */
      target: number;
      /** Format: double */
      done: number;
      /** Format: double */
      perWeek: null | number;
    };
    MyHome: {
      /** Format: date */
      today: string;
      /** Format: date */
      monday: string;
      days: components['schemas']['WordsOfDay'][];
      term: null | components['schemas']['MyTerm'];
      words: components['schemas']['MyWordsShort'];
      answered: components['schemas']['Note'][];
      pool: null | components['schemas']['MyPool'];
    };
    MyItem: {
      kind: components['schemas']['QuestionKind'];
      stem: string;
      choices: string[];
      rights: string[];
      /** Format: int32 */
      wanted: number;
    };
    MyKeptWord: {
      text: string;
      meaning: string;
      example: string;
      title: null | string;
      atHome: null | string;
      /** Format: int32 */
      steps: number;
      known: boolean;
      due: boolean;
      /** Format: date */
      dueOn: string;
    };
    MyKeptWords: {
      words: components['schemas']['MyKeptWord'][];
      /** Format: int32 */
      steps: number;
      /** Format: int32 */
      atOnce: number;
    };
    MyLevel: {
      then: null | components['schemas']['LevelLike'];
      now: components['schemas']['LevelLike'];
    };
    MyPart: {
      part: components['schemas']['CheckPart'];
      state: components['schemas']['PartState'];
    };
    MyPicks: {
      /** Format: int32 */
      item: number;
      picks: number[];
    };
    MyPool: {
      mine: null | string[];
      /** Format: int32 */
      ours: null | number;
    };
    MyQuestion: {
      id: components['schemas']['QuestionId'];
      kind: components['schemas']['QuestionKind'];
      stem: string;
      choices: string[];
      rights: string[];
      /** Format: int32 */
      wanted: number;
      evidence: boolean;
      /** Format: int32 */
      after: null | number;
      attempts: components['schemas']['MyAttempt'][];
      mayTry: boolean;
    };
    MyRecording: {
      id: components['schemas']['RecordId'];
      /** Format: double */
      seconds: number;
      marked: boolean;
    };
    MyResult: {
      id: components['schemas']['TicketId'];
      kind: components['schemas']['TaskKind'];
      textId: components['schemas']['TextId'];
      title: string;
      talk: boolean;
      score: null | components['schemas']['Probability'];
      /** Format: int32 */
      right: number;
      /** Format: int32 */
      questions: number;
      lines: components['schemas']['MyResultLine'][];
    };
    MyResultLine: {
      questionId: components['schemas']['QuestionId'];
      stem: string;
      mark: components['schemas']['AttemptMark'];
      written: boolean;
      myAnswer: null | string;
      rightAnswer: null | string;
      reason: string;
      proof: null | string;
      points: null | components['schemas']['GivenMark'];
      answerId: null | components['schemas']['AnswerId'];
      comment: string;
      /** Format: int32 */
      page: null | number;
      shown: components['schemas']['FeedbackShown'];
    };
    MyStage: {
      id: components['schemas']['StageId'];
      /** Format: int32 */
      place: number;
      title: string;
      depth: components['schemas']['Fathoms'];
      pages: string[][];
      sentences: string[][];
      items: components['schemas']['MyItem'][];
      answers: components['schemas']['MyPicks'][];
      /** Format: double */
      seconds: number;
    };
    MyTask: {
      id: components['schemas']['TicketId'];
      kind: components['schemas']['TaskKind'];
      state: components['schemas']['TicketState'];
      title: string;
      directions: string;
      homeDirections: string;
      homeLanguage: string;
      comment: string;
      prompt: string;
      url: string;
      words: components['schemas']['MyWord'][];
      /** Format: int32 */
      atOnce: number;
      by: components['schemas']['WordPractice'];
      written: string;
      practised: components['schemas']['PractisedWord'][];
      score: null | components['schemas']['Probability'];
      mark: null | components['schemas']['GivenMark'];
      said: string;
      talk: boolean;
      together: boolean;
      partners: components['schemas']['TicketId'][];
      supports: components['schemas']['Supports'];
    };
    MyTerm: {
      /** Format: date */
      firstDay: string;
      /** Format: date */
      lastDay: string;
      words: number[];
      goals: components['schemas']['MyGoal'][];
      level: null | components['schemas']['MyLevel'];
    };
    MyTicket: {
      id: components['schemas']['TicketId'];
      assignmentId: components['schemas']['AssignmentId'];
      act: components['schemas']['AssignmentId'];
      kind: components['schemas']['TaskKind'];
      title: string;
      blurb: string;
      /** Format: int32 */
      words: number;
      /** Format: int32 */
      pages: number;
      /** Format: int32 */
      page: number;
      /** Format: int32 */
      questions: number;
      /** Format: int32 */
      answered: number;
      textId: null | components['schemas']['TextId'];
      /** Format: double */
      activeSeconds: number;
      picture: null | string;
      /** Format: int32 */
      toPractise: number;
      state: components['schemas']['TicketState'];
      /** Format: date */
      dueOn: null | string;
      /** Format: date */
      closesOn: null | string;
      need: components['schemas']['Need'];
      place: components['schemas']['WorkPlace'];
      reminded: boolean;
      directions: string;
      homeDirections: string;
      homeLanguage: string;
      score: null | components['schemas']['Probability'];
      /** Format: date-time */
      handedInAt: null | string;
      chosen: boolean;
      aloud: boolean;
      heading: string;
      comment: null | string;
      /** Format: int32 */
      round: number;
    };
    MyVersion: {
      versionId: components['schemas']['VersionId'];
      harder: boolean;
    };
    MyVersionRequest: {
      versionId: components['schemas']['VersionId'];
    };
    MyWord: {
      text: string;
      part: string;
      meaning: string;
      example: string;
      atHome: null | string;
    };
    MyWordsShort: {
      /** Format: int32 */
      all: number;
      /** Format: int32 */
      due: number;
      first: string[];
    };
    MyWork: {
      id: components['schemas']['TicketId'];
      kind: components['schemas']['TaskKind'];
      title: string;
      textId: components['schemas']['TextId'];
      picture: null | string;
      state: components['schemas']['TicketState'];
      /** Format: int32 */
      attempts: number;
      /** Format: int32 */
      page: number;
      directions: string;
      homeDirections: string;
      homeLanguage: string;
      depth: components['schemas']['Fathoms'];
      pages: string[][];
      words: components['schemas']['MyWord'][];
      questions: components['schemas']['MyQuestion'][];
      onTheWay: components['schemas']['MyQuestion'][];
      sentences: string[][];
      sound: boolean;
      aloud: boolean;
      recording: null | components['schemas']['MyRecording'];
      supports: components['schemas']['Supports'];
      talk: boolean;
      mayChange: boolean;
    };
    /** @enum {unknown} */
    Need: 'Required' | 'Extra' | 'Recommended';
    NewClassRequest: {
      name: string;
      /** Format: date */
      firstDay?: null | string;
      /** Format: date */
      lastDay?: null | string;
      /** Format: uuid */
      id?: string;
      /** Format: int32 */
      grade?: null | number;
    };
    NewCopiesRequest: {
      textId?: null | components['schemas']['TextId'];
      title: string;
      codes: string[];
    };
    NewDraft: {
      id: components['schemas']['AssignmentId'];
      textId: components['schemas']['TextId'];
      readerIds: components['schemas']['ReaderId'][];
      /** Format: date */
      visibleFrom: string;
      /** Format: date */
      dueOn?: null | string;
    };
    NewGroup: {
      name: string;
      readerIds: components['schemas']['ReaderId'][];
      /** Format: uuid */
      id?: string;
    };
    NewPlanRequest: {
      id: components['schemas']['PlanId'];
      name: string;
      mine: boolean;
      inOrder: boolean;
      /** Format: date */
      monday: string;
      assignmentIds: components['schemas']['AssignmentId'][];
      checkIds?: null | components['schemas']['CheckId'][];
    };
    NewReaderRequest: {
      givenName: string;
      familyName?: null | string;
      /** Format: int32 */
      grade: number;
      level: components['schemas']['Fathoms'];
      guardianMail?: null | string;
      /** Format: uuid */
      id?: string;
    };
    NextGroup: {
      id: null | components['schemas']['GroupId'];
      name: string;
      readerIds: components['schemas']['ReaderId'][];
    };
    NextMeetingView: {
      move: components['schemas']['NextMove'];
      why: components['schemas']['Message'];
      point: null | components['schemas']['PointView'];
      meetingId: null | components['schemas']['MeetingId'];
      /** Format: date */
      day: null | string;
    };
    /**
     * @description What the next meeting should do about the point of this one.
     * @enum {unknown}
     */
    NextMove: 'Again' | 'Easier' | 'Another';
    /** @description A suggested step, for whom, and why. */
    NextStep: {
      kind: components['schemas']['NextStepKind'];
      readers: components['schemas']['ReaderId'][];
      question: null | components['schemas']['QuestionId'];
      strand: null | components['schemas']['Strand'];
      /** @description What it rests on, in words. */
      why: components['schemas']['Message'];
    };
    /**
     * @description A step that suggests itself after an assignment.
     * @enum {unknown}
     */
    NextStepKind: 'Harder' | 'TeachAgain' | 'EasierFirst' | 'ReadAgain' | 'CheckQuestion';
    NextStepView: {
      step: components['schemas']['NextStep'];
      text: null | components['schemas']['StepText'];
    };
    Note: {
      id: components['schemas']['NoteId'];
      ticketId: components['schemas']['TicketId'];
      title: string;
      /** Format: int32 */
      page: number;
      quote: string;
      words: string;
      /** Format: date-time */
      at: string;
      answer: string;
      answeredBy: null | string;
      /** Format: date-time */
      answeredAt: null | string;
      /** Format: date-time */
      answerSeenAt: null | string;
      reply: string;
    };
    NoteAnswerRequest: {
      words?: null | string;
    };
    /**
     * Format: uuid
     * @description The id of a note, which the reader's device makes.
     */
    NoteId: string;
    NoteRequest: {
      /** Format: int32 */
      page: number;
      quote?: null | string;
      words?: null | string;
      removed: boolean;
      /** Format: date-time */
      at: string;
    };
    /**
     * @description What was seen of a reader, in a ready phrase.
     * @enum {unknown}
     */
    Observation:
      | 'FoundSentence'
      | 'SaidWhy'
      | 'OwnLife'
      | 'RepeatedText'
      | 'ReadSmoothly'
      | 'ReadAgain'
      | 'CorrectedSelf'
      | 'WordByWord'
      | 'SaidMeaning'
      | 'UsedWord'
      | 'FromContext'
      | 'GuessedWord';
    OfferView: {
      textId: components['schemas']['TextId'];
      title: string;
      kind: string;
      topic: string;
      blurb: string;
      /** Format: int32 */
      words: number;
      /** Format: int32 */
      questions: number;
      zone: components['schemas']['Zone'];
      picture: null | string;
      because: null | string;
      said: components['schemas']['RecommendedView'][];
    };
    OralView: {
      /** Format: int32 */
      grade: number;
      records: components['schemas']['RecordRow'][];
      practice: components['schemas']['PracticeRow'][];
      mayTake: boolean;
    };
    OrgLine: {
      id: string;
      name: string;
      type: string;
    };
    OtherSchoolView: {
      id: components['schemas']['SchoolId'];
      name: string;
    };
    /**
     * @description Which reading outside Deep Current counts for the word goals of a class.
     * @enum {unknown}
     */
    OutsideCounts: 'None' | 'Confirmed' | 'All';
    OutsideRequest: {
      outside: components['schemas']['OutsideCounts'];
    };
    OverTimeView: {
      spans: components['schemas']['SpansView'];
      days: components['schemas']['DayRead'][];
      before: components['schemas']['DayRead'][];
    };
    /** @description What one reader may choose otherwise than their class; what is null is as in the class. */
    OwnChoice: {
      open?: null | boolean;
      depth?: null | components['schemas']['ChoiceDepth'];
      sort?: null | components['schemas']['ChoiceSort'];
      format?: null | components['schemas']['ChoiceFormat'];
      /** Format: int32 */
      mostOpen?: null | number;
      pool?: null | components['schemas']['PoolShown'];
      home?: null | components['schemas']['HomeLook'];
    };
    OwnDayRequest: {
      ticketIds: components['schemas']['TicketId'][];
      /** Format: date */
      dueOn?: null | string;
    };
    OwnQuestion: {
      id?: null | components['schemas']['QuestionId'];
      kind: components['schemas']['QuestionKind'];
      strand: components['schemas']['Strand'];
      stem: string;
      choices?: null | components['schemas']['Choice'][];
      proofs?: null | {
        [key: string]: string;
      };
      evidence: boolean;
      /** Format: double */
      offset: number;
      after?: null | {
        [key: string]: number;
      };
      rubric?: null | components['schemas']['Rubric'];
    };
    OwnReading: {
      id: components['schemas']['OwnReadingId'];
      title: string;
      author: string;
      /** Format: date */
      day: string;
      /** Format: int32 */
      minutes: null | number;
      /** Format: int32 */
      pages: null | number;
      finished: boolean;
      said: string;
      /** Format: date-time */
      confirmedAt: null | string;
      confirmedBy: null | string;
    };
    /**
     * Format: uuid
     * @description The id of something read elsewhere, which the reader's device makes.
     */
    OwnReadingId: string;
    OwnReadingRequest: {
      title?: null | string;
      author?: null | string;
      /** Format: date */
      day: string;
      /** Format: int32 */
      minutes?: null | number;
      /** Format: int32 */
      pages?: null | number;
      finished: boolean;
      said?: null | string;
      removed: boolean;
    };
    OwnTextRequest: {
      /** Format: int32 */
      revision: number;
      title: string;
      kind: string;
      topic: string;
      fiction: boolean;
      spelling: string;
      blurb: string;
      season: string;
      mine: boolean;
      note?: null | string;
      versions: components['schemas']['OwnVersion'][];
      words: components['schemas']['Word'][];
      id?: null | components['schemas']['TextId'];
    };
    OwnVersion: {
      id?: null | components['schemas']['VersionId'];
      label: string;
      body: string;
    };
    /** @description How one reader does a task otherwise than the rest; what is null is as it is for everybody. */
    OwnWay: {
      /**
       * Format: int32
       * @description Tries of a question, 1 to 3.
       */
      attempts?: null | number;
      /** @description Whether the questions between the paragraphs are asked. */
      onTheWay?: null | boolean;
      /** @description To be read aloud and recorded. */
      aloud?: null | boolean;
      /**
       * Format: date
       * @description The reader's own last day; it never closes before that.
       */
      dueOn?: null | string;
      /**
       * Format: int32
       * @description Words that are practised at once.
       */
      atOnce?: null | number;
      by?: null | components['schemas']['WordPractice'];
      /** @description Whether text and questions may be read aloud to the reader. */
      readAloud?: null | boolean;
      /** @description Whether choices are shown one at a time. */
      oneChoice?: null | boolean;
      /**
       * Format: int32
       * @description 0 usual, 1 larger, 2 largest.
       */
      textSize?: null | number;
    };
    PairBody: {
      one: components['schemas']['ReaderId'];
      other: components['schemas']['ReaderId'];
    };
    PaperCopy: {
      id: components['schemas']['PaperId'];
      name: string;
      kind: components['schemas']['PaperKind'];
      eachOwn: boolean;
      strokes: components['schemas']['Stroke'][];
    };
    PaperFor: {
      id: components['schemas']['PaperId'];
      /** Format: uuid */
      textId?: string;
    };
    /**
     * Format: uuid
     * @description The id of a paper that goes with an assignment.
     */
    PaperId: string;
    /**
     * @description What kind of file a paper is.
     * @enum {unknown}
     */
    PaperKind: 'Pdf' | 'Png' | 'Jpeg';
    PaperRow: {
      id: components['schemas']['PaperId'];
      assignmentId: components['schemas']['AssignmentId'];
      name: string;
      kind: components['schemas']['PaperKind'];
      eachOwn: boolean;
      /** Format: int32 */
      size: number;
      by: null | string;
      /** Format: date-time */
      addedAt: string;
    };
    /**
     * @description An adult's part in a class.
     * @enum {unknown}
     */
    Part: 'None' | 'Assistant' | 'CoTeacher' | 'Teacher';
    /**
     * @description What a finished part can be trusted for.
     * @enum {unknown}
     */
    PartFlag: 'Fine' | 'TooFast' | 'Thin' | 'Missing';
    PartPlanView: {
      part: components['schemas']['CheckPart'];
      /** Format: int32 */
      minutes: number;
      skipBelow: null | components['schemas']['Fathoms'];
      skipAbove: null | components['schemas']['Fathoms'];
      skipMastered: boolean;
      skipUndecoding: boolean;
    };
    /**
     * @description How a part of a level check stands for one reader.
     * @enum {unknown}
     */
    PartState: 'Waiting' | 'UnderWay' | 'Done' | 'Skipped';
    PartView: {
      id: components['schemas']['CheckPartId'];
      part: components['schemas']['CheckPart'];
      state: components['schemas']['PartState'];
      flag: components['schemas']['PartFlag'];
      note: components['schemas']['Message'];
      /** Format: int32 */
      rounds: number;
      /** Format: int32 */
      answered: number;
      /** Format: int32 */
      asked: number;
      /** Format: int32 */
      correct: number;
      /** Format: int32 */
      tooFast: number;
      /** Format: double */
      seconds: number;
      /** Format: double */
      score: null | number;
    };
    PartnerView: {
      ticketId: components['schemas']['TicketId'];
      name: string;
    };
    PartnersView: {
      mayJoin: components['schemas']['PartnerView'][];
      wroteIt: string[];
    };
    /**
     * @description What a one-time link is for.
     * @enum {unknown}
     */
    PassPurpose: 'Invitation' | 'Reset' | 'Confirmation';
    PassRequest: {
      token: string;
      userName?: null | string;
      password?: null | string;
    };
    PassView: {
      purpose: components['schemas']['PassPurpose'];
      name: string;
      userName: string;
      rules: components['schemas']['Message'];
    };
    PassesRequest: {
      adultIds: components['schemas']['AdultId'][];
    };
    PasswordRequest: {
      old: string;
      new: string;
    };
    /** @description A word that a set of patterns does not open, and which patterns it still needs; none for words that are not said as they are spelt. */
    PatternBreak: {
      word: string;
      /** Format: int32 */
      times: number;
      needs: string[];
    };
    PatternUseView: {
      key: string;
      name: string;
      /** Format: int32 */
      times: number;
      words: string[];
    };
    PatternView: {
      key: string;
      name: string;
      /** Format: int32 */
      stage: number;
      example: string;
    };
    /**
     * @description With what something was drawn.
     * @enum {unknown}
     */
    Pen: 'Fine' | 'Broad';
    PictureRequest: {
      picture: string;
    };
    PieceView: {
      ids: components['schemas']['EvidenceId'][];
      /** Format: date-time */
      at: string;
      what: components['schemas']['EvidenceSource'];
      note: components['schemas']['Message'];
      ticketId: null | components['schemas']['TicketId'];
      /** Format: int32 */
      counted: number;
      leftOut: components['schemas']['Message'][];
      /** Format: double */
      moved: number;
      after: null | components['schemas']['Fathoms'];
      /** Format: double */
      sdAfter: null | number;
      reason: null | string;
      may: boolean;
      recordId: null | components['schemas']['RecordId'];
    };
    PlaceBody: {
      readerId: components['schemas']['ReaderId'];
      groupId: components['schemas']['GroupId'];
    };
    PlaceRow: {
      id: components['schemas']['TicketId'];
      assignmentId: components['schemas']['AssignmentId'];
      readerId: components['schemas']['ReaderId'];
      state: components['schemas']['TicketState'];
      /** Format: int32 */
      round: number;
      /** Format: int32 */
      page: number;
      /** Format: int32 */
      pages: number;
      depth: null | components['schemas']['Fathoms'];
      givenDepth: null | components['schemas']['Fathoms'];
      forecast: null | components['schemas']['Probability'];
      score: null | components['schemas']['Probability'];
      /** Format: int32 */
      answered: number;
      /** Format: int32 */
      tooFast: number;
      /** Format: date-time */
      openedAt: null | string;
      /** Format: date-time */
      handedInAt: null | string;
      /** Format: date */
      dueOn: null | string;
      reminded: boolean;
    };
    PlacementView: {
      readerId: components['schemas']['ReaderId'];
      /** Format: int32 */
      group: number;
      own: components['schemas']['ApartView'];
      /** Format: int32 */
      other: number;
      otherAway: components['schemas']['ApartView'];
      /** Format: double */
      turning: null | number;
      atEdge: boolean;
      moves: boolean;
      likely: null | components['schemas']['Probability'];
      need: null | components['schemas']['Strand'];
      rate: null | components['schemas']['WordsPerMinute'];
    };
    PlacesView: {
      /** Format: date */
      today: string;
      groups: components['schemas']['WeekGroup'][];
      plates: components['schemas']['WeekPlate'][];
      places: components['schemas']['PlaceRow'][];
      mayAssign: boolean;
    };
    /**
     * Format: uuid
     * @description The id of a saved list of tasks.
     */
    PlanId: string;
    PlanLine: {
      /** Format: int32 */
      week: number;
      /** Format: int32 */
      day: number;
      /** Format: int32 */
      days: null | number;
      kind: components['schemas']['TaskKind'];
      title: string;
      textId: null | components['schemas']['TextId'];
      /** Format: int32 */
      papers: number;
    };
    PlanMeetingsRequest: {
      /** Format: date */
      monday: string;
      /** Format: int32 */
      wanted: number;
      /** Format: int32 */
      aDay: number;
      shut: string[];
    };
    PlanView: {
      parts: components['schemas']['PartPlanView'][];
      start: components['schemas']['CheckStart'];
      from: components['schemas']['Fathoms'];
      to: components['schemas']['Fathoms'];
      timerShown: boolean;
      /** Format: int32 */
      mostPassages: number;
      /** Format: double */
      sureAt: number;
      aPartADay: boolean;
      form: components['schemas']['VersionId'][];
    };
    /**
     * @description What a meeting is about.
     * @enum {unknown}
     */
    PointKind: 'Strand' | 'Fluency' | 'Words';
    PointView: {
      kind: components['schemas']['PointKind'];
      strand: null | components['schemas']['Strand'];
      readers: components['schemas']['ReaderId'][];
      why: components['schemas']['Message'];
    };
    PoolRequest: {
      pool: components['schemas']['PoolShown'];
    };
    /**
     * @description Which tide pools the readers of a class see: one thing comes into a pool for each text that was understood, never for speed or rank, and nothing is ever lost from it.
     * @enum {unknown}
     */
    PoolShown: 'None' | 'Own' | 'Shared' | 'Both';
    /**
     * @description What a member of staff is at the school: a teacher, or somebody who helps one.
     * @enum {unknown}
     */
    Post: 'Teacher' | 'Assistant';
    PracticeRow: {
      word: string;
      /** Format: int32 */
      missed: number;
      /** Format: int32 */
      met: number;
      /** Format: int32 */
      corrected: number;
      /** Format: date-time */
      lastMissed: string;
      said: string[];
    };
    /** @description How a word of a list went. */
    PractisedWord: {
      /**
       * Format: int32
       * @description Its place in the list, from 0.
       */
      word: number;
      /**
       * Format: int32
       * @description How often its reader has tried it, from 1.
       */
      tries: number;
      /** @description It has been right. */
      known: boolean;
    };
    /** @description One line of what a change would do. */
    PreviewLine: {
      kind: components['schemas']['RosterKind'];
      what: components['schemas']['StepKind'];
      name: components['schemas']['Message'];
      detail: components['schemas']['Message'];
    };
    /** @enum {unknown} */
    PrintForm: 'Cards' | 'List' | 'Letters';
    /**
     * Format: double
     * @description A chance or a share, 0 to 1.
     */
    Probability: number;
    ProblemLine: {
      file: string;
      /** Format: int32 */
      line: number;
      column: string;
      value: string;
      reason: components['schemas']['Message'];
      stops: boolean;
    };
    /** @description A mark that an answer's own words speak for. It counts only where a person uses it. */
    Proposal: {
      /** @description Row by row of the rubric. */
      points: number[];
      /** @description Words of the answer it goes by, as they stand there, in their order. */
      words: string[];
      /** @description Whether the answer gives a reason: because, so, since, if. */
      reason: boolean;
    };
    ProposalView: {
      groups: components['schemas']['NextGroup'][];
      /** Format: double */
      cost: number;
      provenBest: boolean;
      /** Format: double */
      gap: number;
      conflict: components['schemas']['Message'][];
      fixes: components['schemas']['GroupFixView'][];
    };
    ProposedMeeting: {
      groupId: components['schemas']['GroupId'];
      /** Format: date */
      day: string;
      point: null | components['schemas']['PointView'];
      missing: components['schemas']['ReaderId'][];
    };
    /** Format: uuid */
    QuestionId: string;
    /**
     * @description How a question is answered.
     * @enum {unknown}
     */
    QuestionKind: 'Single' | 'Multiple' | 'Order' | 'Match' | 'Sentence' | 'Short' | 'Long';
    QuestionOfRecord: {
      id: components['schemas']['QuestionId'];
      strand: components['schemas']['Strand'];
      stem: string;
      rightAnswers: string[];
    };
    QuestionUse: {
      questionId: components['schemas']['QuestionId'];
      /** Format: int32 */
      answered: number;
      right: null | components['schemas']['Probability'];
      wrong: null | string;
      /** Format: int32 */
      wrongTimes: number;
      /** Format: double */
      harder: null | number;
      /** Format: int32 */
      harderFrom: number;
    };
    QuestionView: {
      id: components['schemas']['QuestionId'];
      kind: components['schemas']['QuestionKind'];
      strand: components['schemas']['Strand'];
      stem: string;
      choices: components['schemas']['Choice'][];
      proofs: {
        [key: string]: string;
      };
      evidence: boolean;
      /** Format: double */
      offset: number;
      after: null | {
        [key: string]: number;
      };
      rubric: null | components['schemas']['Rubric'];
      key: null | number[];
    };
    QuestionsView: {
      spans: components['schemas']['SpansView'];
      rows: components['schemas']['MissedQuestion'][];
    };
    QuizCheckView: {
      faults: components['schemas']['QuizFault'][];
    };
    /** @description What is wrong with a quiz, for its writer. */
    QuizFault: {
      /**
       * Format: int32
       * @description The question, from 0; null where it is about the whole quiz.
       */
      at: null | number;
      /** @description It cannot be asked like this. */
      stops: boolean;
      sentence: components['schemas']['Message'];
    };
    QuizFileView: {
      questions: components['schemas']['QuestionView'][];
      leftOut: components['schemas']['Message'][];
    };
    QuizRequest: {
      /** Format: int32 */
      revision: number;
      note?: null | string;
      questions: components['schemas']['OwnQuestion'][];
    };
    QuizVersionView: {
      label: string;
      depth: components['schemas']['Fathoms'];
      paragraphs: string[][];
    };
    QuizView: {
      textId: components['schemas']['TextId'];
      title: string;
      /** Format: int32 */
      revision: number;
      mayChange: boolean;
      questions: components['schemas']['QuestionView'][];
      versions: components['schemas']['QuizVersionView'][];
      faults: components['schemas']['QuizFault'][];
    };
    Rating: {
      textId: components['schemas']['TextId'];
      liking: components['schemas']['Liking'];
      words: string;
      approval: components['schemas']['Approval'];
      /** Format: date-time */
      at: string;
    };
    RatingRequest: {
      liking: components['schemas']['Liking'];
      words?: null | string;
      /** Format: date-time */
      at: string;
    };
    ReadListView: {
      kind: string;
      notes: components['schemas']['Message'][];
      hasHeading: boolean;
      headings: string[];
      fields: components['schemas']['ListField'][];
      samples: string[][];
      levelSystem: string;
      rows: components['schemas']['ListRowView'][];
    };
    /** @description What a roster holds of a reader in words; equal where every detail is. */
    ReaderDetails: {
      HomeLanguage?: string;
    };
    /**
     * Format: uuid
     * @description A reader's id.
     */
    ReaderId: string;
    /**
     * Format: uuid
     * @description The id of readers somebody keeps together.
     */
    ReaderListId: string;
    ReaderListRequest: {
      name: string;
      mark: string;
      note?: null | string;
      /** Format: int32 */
      position: number;
      filter?: null | components['schemas']['ListFilter'];
      readerIds: components['schemas']['ReaderId'][];
    };
    ReaderListView: {
      id: components['schemas']['ReaderListId'];
      name: string;
      mark: string;
      note: string;
      /** Format: int32 */
      position: number;
      filter: null | components['schemas']['ListFilter'];
      readerIds: components['schemas']['ReaderId'][];
    };
    ReaderSignIn: {
      code: string;
      readerId: components['schemas']['ReaderId'];
      secret: string;
    };
    ReaderView: {
      id: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      userName: string;
      /** Format: int32 */
      grade: number;
      group: null | string;
      depth: components['schemas']['Fathoms'];
      /** Format: double */
      sd: number;
      low: components['schemas']['Fathoms'];
      high: components['schemas']['Fathoms'];
      reachFrom: components['schemas']['Fathoms'];
      reachTo: components['schemas']['Fathoms'];
      levelName: components['schemas']['Message'];
      silentRate: components['schemas']['WordsPerMinute'];
      trail: components['schemas']['DepthDay'][];
      marks: components['schemas']['MarkView'][];
      strands: components['schemas']['StrandView'][];
      readings: components['schemas']['ReadingView'][];
      goals: components['schemas']['GoalStandingView'][];
      set: null | components['schemas']['SetLevelView'];
    };
    ReadersRequest: {
      readerIds: components['schemas']['ReaderId'][];
    };
    ReadingConfirmed: {
      confirmed: boolean;
    };
    ReadingView: {
      ticketId: components['schemas']['TicketId'];
      kind: components['schemas']['TaskKind'];
      title: string;
      version: null | string;
      versionDepth: null | components['schemas']['Fathoms'];
      state: components['schemas']['TicketState'];
      forecast: null | components['schemas']['Probability'];
      score: null | components['schemas']['Probability'];
      /** Format: double */
      seconds: number;
      /** Format: date-time */
      assignedAt: string;
      /** Format: date */
      dueOn: null | string;
      /** Format: date-time */
      openedAt: null | string;
      /** Format: date-time */
      handedInAt: null | string;
      beforeMean: null | components['schemas']['Fathoms'];
      afterMean: null | components['schemas']['Fathoms'];
    };
    RecommendationRow: {
      readerId: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      textId: components['schemas']['TextId'];
      title: string;
      liking: components['schemas']['Liking'];
      words: string;
      approval: components['schemas']['Approval'];
      /** Format: date-time */
      at: string;
      approvedBy: null | string;
    };
    RecommendedView: {
      name: string;
      words: string;
    };
    /** Format: uuid */
    RecordId: string;
    RecordRow: {
      id: components['schemas']['RecordId'];
      title: string;
      textDepth: components['schemas']['Fathoms'];
      done: boolean;
      /** Format: date-time */
      readAt: string;
      by: null | string;
      figures: components['schemas']['FiguresOfRecord'];
      sound: boolean;
      listening: null | components['schemas']['ListeningState'];
    };
    RecordView: {
      id: components['schemas']['RecordId'];
      readerId: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      title: string;
      textId: null | components['schemas']['TextId'];
      textDepth: components['schemas']['Fathoms'];
      forecast: components['schemas']['Probability'];
      done: boolean;
      gone: boolean;
      /** Format: date-time */
      readAt: string;
      by: null | string;
      /** Format: int32 */
      revision: number;
      body: string;
      words: components['schemas']['WordOfRecord'][];
      sheet: components['schemas']['SheetView'];
      figures: components['schemas']['FiguresOfRecord'];
      sources: components['schemas']['SourceTotals'];
      parts: string[];
      questions: components['schemas']['QuestionOfRecord'][];
      textChanged: boolean;
      /** Format: double */
      soundSeconds: null | number;
      listening: null | components['schemas']['ListeningState'];
      listenNote: null | components['schemas']['Message'];
      mayListen: boolean;
      draft: null | components['schemas']['DraftOfRecord'];
    };
    RecordingRow: {
      id: components['schemas']['RecordId'];
      readerId: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      title: string;
      /** Format: date-time */
      readAt: string;
      /** Format: double */
      seconds: number;
      listening: null | components['schemas']['ListeningState'];
    };
    RegisterRequest: {
      code: string;
      name: string;
      mail: string;
      password: string;
    };
    RegisteredView: {
      confirm: boolean;
      sentence: components['schemas']['Message'];
    };
    /**
     * @description How well a quiz told its readers apart, in words.
     * @enum {unknown}
     */
    Reliability: 'NotClaimed' | 'Hardly' | 'ALittle' | 'Well';
    RemarkView: {
      doubt: components['schemas']['TextDoubt'];
      stops: boolean;
      sentence: components['schemas']['Message'];
    };
    RemindRequest: {
      ticketIds: components['schemas']['TicketId'][];
    };
    /** @description What a reader did for a task without a text, in one round. */
    Reply: {
      /** @description Written. */
      words: string;
      practised: components['schemas']['PractisedWord'][];
      mark?: null | components['schemas']['GivenMark'];
      /** @default  */
      comment: string;
      /** @description Whether there is something in it. */
      begun?: boolean;
    };
    ReplyRequest: {
      words?: null | string;
      practised?: null | components['schemas']['PractisedWord'][];
      /** Format: date-time */
      at: string;
      partners?: null | components['schemas']['TicketId'][];
    };
    ReportRowView: {
      readerId: components['schemas']['ReaderId'];
      sums: components['schemas']['SumsView'];
      depths: components['schemas']['Fathoms'][];
      level: components['schemas']['Fathoms'];
      /** Format: double */
      levelSd: number;
      reach: components['schemas']['DepthRange'];
      /** Format: double */
      change: null | number;
    };
    ReportView: {
      spans: components['schemas']['SpansView'];
      rows: components['schemas']['ReportRowView'][];
      sum: components['schemas']['SumsView'];
      before: null | components['schemas']['SumsView'];
      change: null | components['schemas']['MeanRange'];
    };
    RescoredView: {
      readerId: components['schemas']['ReaderId'];
      scoreBefore: null | components['schemas']['Probability'];
      score: null | components['schemas']['Probability'];
      depthBefore: components['schemas']['Fathoms'];
      depth: components['schemas']['Fathoms'];
    };
    ResultFigures: {
      /** Format: int32 */
      given: number;
      /** Format: int32 */
      handedIn: number;
      /** Format: int32 */
      counted: number;
      firstTry: null | components['schemas']['Probability'];
      forecast: null | components['schemas']['Probability'];
      times: null | components['schemas']['TimesView'];
      reliability: components['schemas']['Reliability'];
      /** Format: double */
      kr20: null | number;
      /** Format: double */
      standardError: null | number;
    };
    ResultQuestionView: {
      /** Format: int32 */
      number: number;
      question: components['schemas']['QuestionView'];
      /** Format: int32 */
      answered: number;
      right: null | components['schemas']['Probability'];
      /** Format: double */
      sorts: null | number;
      /** Format: int32 */
      atOnce: number;
      /** Format: int32 */
      later: number;
      /** Format: int32 */
      notYet: number;
      /** Format: int32 */
      unanswered: number;
      drew: components['schemas']['AnswerDrew'][];
      commonWrong: null | components['schemas']['AnswerDrew'];
    };
    ResultReaderView: {
      ticketId: components['schemas']['TicketId'];
      readerId: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      state: components['schemas']['TicketState'];
      /** Format: int32 */
      round: number;
      version: string;
      /** Format: double */
      activeSeconds: number;
      full: boolean;
      /** Format: date-time */
      handedInAt: null | string;
      /** Format: int32 */
      notes: number;
      /** Format: int32 */
      keptWords: number;
      typed: null | components['schemas']['TypedResult'];
    };
    ResultRowView: {
      readerId: components['schemas']['ReaderId'];
      counts: boolean;
      cells: components['schemas']['CellView'][];
      onTheWay: components['schemas']['CellView'][];
      /** Format: int32 */
      right: number;
      /** Format: int32 */
      asked: number;
      share: null | components['schemas']['Probability'];
      forecast: null | components['schemas']['Probability'];
      against: null | components['schemas']['AgainstForecast'];
    };
    /** @enum {unknown} */
    ResultsShown: 'AtOnce' | 'WhenReleased';
    ResultsView: {
      assignment: components['schemas']['AssignmentRow'];
      figures: components['schemas']['ResultFigures'];
      questions: components['schemas']['ResultQuestionView'][];
      onTheWay: components['schemas']['ResultQuestionView'][];
      rows: components['schemas']['ResultRowView'][];
      readers: components['schemas']['ResultReaderView'][];
      usual: components['schemas']['UsualView'][];
      next: components['schemas']['NextStepView'][];
      corrections: components['schemas']['CorrectionView'][];
      words: components['schemas']['WordResult'][];
      takesTyped: boolean;
    };
    RetireRequest: {
      retired: boolean;
    };
    ReturnRequest: {
      password: string;
    };
    RevisionView: {
      /** Format: int32 */
      revision: number;
      /** Format: date-time */
      at: string;
      by: null | string;
      note: components['schemas']['Message'];
      versions: components['schemas']['TextVersionBody'][];
    };
    /**
     * @description Who is asking.
     * @enum {unknown}
     */
    Role: 'Nobody' | 'Reader' | 'Teacher' | 'Guardian';
    RollClass: {
      from: string;
      to: null | string;
      /** Format: int32 */
      readers: number;
    };
    RollRequest: {
      toYearId: components['schemas']['YearId'];
      keepClasses: boolean;
    };
    RollView: {
      classes: components['schemas']['RollClass'][];
      /** Format: int32 */
      up: number;
      /** Format: int32 */
      leaving: number;
      from: string;
      to: string;
    };
    RosterChanged: {
      changeId: null | components['schemas']['ChangeId'];
      sentence: components['schemas']['Message'];
      /**
       * Format: int32
       * @default 0
       */
      asked: number;
    };
    /**
     * @description What a roster is made of, as it is counted.
     * @enum {unknown}
     */
    RosterKind: 'Readers' | 'Teachers' | 'Classes' | 'Enrolments' | 'Teaching';
    RosterView: {
      id: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      called: string;
      /** Format: int32 */
      grade: number;
      depth: components['schemas']['Fathoms'];
      /** Format: double */
      sd: number;
      low: components['schemas']['Fathoms'];
      high: components['schemas']['Fathoms'];
      reachFrom: components['schemas']['Fathoms'];
      reachTo: components['schemas']['Fathoms'];
      /** Format: double */
      sixWeeks: null | number;
      group: null | string;
      firstTry: null | components['schemas']['Probability'];
      /** Format: date-time */
      lastRead: null | string;
      /** Format: int32 */
      readings: number;
      levelSet: boolean;
      signals: components['schemas']['SignalView'][];
    };
    RoundReply: {
      /** Format: int32 */
      round: number;
      /** Format: date-time */
      at: string;
      reply: components['schemas']['Reply'];
    };
    /**
     * @description What becomes of a row.
     * @enum {unknown}
     */
    RowFate: 'Empty' | 'New' | 'Joins' | 'Changed' | 'Unchanged' | 'Question' | 'Stopped';
    /** @description What a written answer earns, row by row. */
    Rubric: {
      /** @description Its rows; at least one. */
      criteria: components['schemas']['Criterion'][];
      /** @description Answers as readers could give them. */
      samples: string[];
    };
    SaidAnswer: {
      questionId: null | components['schemas']['QuestionId'];
      stem: string;
      ticketId: components['schemas']['TicketId'];
      readerId: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      words: string;
      /** Format: date-time */
      at: string;
    };
    SaidView: {
      key: string;
      words: components['schemas']['SpokenWord'][];
    };
    SaveGroupsRequest: {
      groups: components['schemas']['NewGroup'][];
    };
    SavedGroups: {
      changeId: null | components['schemas']['ChangeId'];
      summary: components['schemas']['Message'];
    };
    SavedPlanRequest: {
      /** Format: int32 */
      revision: number;
      name: string;
      mine: boolean;
      inOrder: boolean;
      items: components['schemas']['MovedItem'][];
    };
    SavedPlanView: {
      id: components['schemas']['PlanId'];
      name: string;
      owner: null | string;
      own: boolean;
      mine: boolean;
      inOrder: boolean;
      mayChange: boolean;
      /** Format: int32 */
      revision: number;
      /** Format: date-time */
      changedAt: string;
      /** Format: int32 */
      weeks: number;
      items: components['schemas']['PlanLine'][];
    };
    SavedSearch: {
      id: components['schemas']['SavedSearchId'];
      name: string;
      query: string;
    };
    /**
     * Format: uuid
     * @description The id of a search somebody keeps.
     */
    SavedSearchId: string;
    SavedSearchRequest: {
      name: string;
      query: string;
    };
    SavedTextView: {
      id: components['schemas']['TextId'];
      /** Format: int32 */
      revision: number;
      warnings: components['schemas']['Message'][];
    };
    SayRequest: {
      text?: null | string;
      language?: null | components['schemas']['Language'];
    };
    SchoolClass: {
      id: components['schemas']['ClassId'];
      name: string;
      code: string;
      yearName: string;
      teachers: string;
      /** Format: int32 */
      readers: number;
      /** Format: int32 */
      never: number;
      closed: boolean;
      fromSource: boolean;
    };
    /** @description A grade or class over a span. */
    SchoolFigures: {
      /** Format: int32 */
      readers: number;
      /** @description Too few readers, or what would give away the figures of too few: nothing is told. */
      withheld: boolean;
      /** @description In their order; empty where they are withheld. */
      measures: components['schemas']['MeasureFigures'][];
    };
    SchoolGroupView: {
      /** Format: int32 */
      grade: null | number;
      className: null | string;
      figures: components['schemas']['SchoolFigures'];
    };
    /**
     * Format: uuid
     * @description A school's id.
     */
    SchoolId: string;
    SchoolLetter: {
      language: components['schemas']['Language'];
      title: string;
      body: string;
    };
    /**
     * @description What is told of the readers of a school over a span.
     * @enum {unknown}
     */
    SchoolMeasure: 'Words' | 'Minutes' | 'FirstTry' | 'Growth' | 'AgainstTypical';
    /** @enum {unknown} */
    SchoolPart: 'Grade' | 'Class';
    SchoolReader: {
      id: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      userName: string;
      /** Format: int32 */
      grade: number;
      depth: components['schemas']['Fathoms'];
      levelSet: boolean;
      classes: string;
      secretKind: components['schemas']['SecretKind'];
      /** Format: date-time */
      signedInAt: null | string;
      leftSchool: boolean;
      /** Format: int32 */
      guardians: number;
    };
    SchoolReportView: {
      spans: components['schemas']['SpansView'];
      /** Format: double */
      schoolWeeks: number;
      groups: components['schemas']['SchoolGroupView'][];
      all: components['schemas']['SchoolFigures'];
      library: components['schemas']['LibraryBand'][];
    };
    SchoolRequest: {
      name: string;
      timeZone: string;
      /** Format: double */
      understoodFrom: number;
      /** Format: double */
      zoneLow: number;
      /** Format: double */
      zoneHigh: number;
      /** Format: int32 */
      minutesADay: number;
      /** Format: int32 */
      picturesTo: number;
      /** Format: int32 */
      codesTo: number;
      surnamesOnCards: boolean;
      guardiansAllowed: boolean;
      aims: components['schemas']['GradeAim'][];
      levelSystem: string;
      letters: components['schemas']['SchoolLetter'][];
      /** Format: int32 */
      version: number;
    };
    SchoolView: {
      name: string;
      timeZone: string;
      understoodFrom: components['schemas']['Probability'];
      zoneLow: components['schemas']['Probability'];
      zoneHigh: components['schemas']['Probability'];
      /** Format: int32 */
      minutesADay: number;
      /** Format: int32 */
      picturesTo: number;
      /** Format: int32 */
      codesTo: number;
      surnamesOnCards: boolean;
      guardiansAllowed: boolean;
      aims: components['schemas']['GradeAim'][];
      levelSystem: string;
      letters: components['schemas']['SchoolLetter'][];
      levelSystems: string[];
      letterMarks: string[];
      /** Format: int32 */
      version: number;
    };
    /**
     * @description A season of the school year, as benchmark windows have it.
     * @enum {unknown}
     */
    Season: 'Autumn' | 'Winter' | 'Spring';
    /**
     * @description What a reader signs in with: pictures in order for the youngest, a short code, or a password.
     * @enum {unknown}
     */
    SecretKind: 'Pictures' | 'Code' | 'Password';
    SecretRequest: {
      kind?: null | components['schemas']['SecretKind'];
      secret?: null | string;
    };
    SeeRequest: {
      here: boolean;
      mark?: null | components['schemas']['SeenMark'];
      observed: components['schemas']['Observation'][];
      note: string;
    };
    SeenDetails: {
      givenName: string;
      familyName: string;
      /** Format: int32 */
      grade: number;
      details?: null | components['schemas']['ReaderDetails'];
      guardianMail?: null | string;
    };
    /** @enum {unknown} */
    SeenMark: 'NotYet' | 'WithHelp' | 'Alone';
    SeenRow: {
      readerId: components['schemas']['ReaderId'];
      here: boolean;
      mark: null | components['schemas']['SeenMark'];
      observed: components['schemas']['Observation'][];
      note: string;
      /** Format: date-time */
      at: string;
    };
    SentMail: {
      /** Format: uuid */
      id: string;
      toAddress: string;
      subject: string;
      body: string;
      /** Format: date-time */
      madeAt: string;
    };
    /** @description One sentence, and what the text's depth owes to it. */
    SentenceWhy: {
      /**
       * Format: int32
       * @description Index of its first word in the text's characters.
       */
      start: number;
      /**
       * Format: int32
       * @description Index just after its last word.
       */
      end: number;
      /** Format: int32 */
      words: number;
      /**
       * Format: double
       * @description Fathoms by which the text would be shallower without it; negative for a sentence that makes the text easier.
       */
      adds: number;
    };
    SessionPlace: {
      /** Format: uuid */
      id: string;
      device: string;
      /** Format: date-time */
      madeAt: string;
      /** Format: date-time */
      seenAt: string;
      here: boolean;
    };
    SessionView: {
      /** Format: uuid */
      id: null | string;
      role: components['schemas']['Role'];
      name: string;
      lead: boolean;
      assistant: boolean;
      firstRun: boolean;
      token: string;
      classes: components['schemas']['ClassHead'][];
      handedOver: null | components['schemas']['HandedOver'];
      supports: null | components['schemas']['Supports'];
      language: null | components['schemas']['Language'];
      home: null | components['schemas']['HomeLook'];
      voice: boolean;
    };
    /** @enum {unknown} */
    SetAsideKind: 'Answer' | 'Reading' | 'Recording' | 'HandIn';
    SetAsideRequest: {
      /** Format: uuid */
      about: string;
      kind?: null | components['schemas']['SetAsideKind'];
      /** Format: int32 */
      answers: number;
      code?: null | string;
      body: components['schemas']['JsonElement'];
      /** Format: date-time */
      at: string;
    };
    SetAsideView: {
      kind: components['schemas']['SetAsideKind'];
      code: string;
      /** Format: int32 */
      answers: number;
      /** Format: date-time */
      givenAt: string;
    };
    SetGoalsRequest: {
      targets: components['schemas']['GoalTarget'][];
      reason?: null | string;
      /** Format: uuid */
      termId?: string;
    };
    SetGoalsView: {
      changeId: null | components['schemas']['ChangeId'];
      /** Format: int32 */
      changed: number;
    };
    SetLevelRequest: {
      id: components['schemas']['LevelSetId'];
      level: string;
      system?: null | string;
      /** Format: date */
      until?: null | string;
      reason?: null | string;
    };
    SetLevelView: {
      level: components['schemas']['Fathoms'];
      /** Format: date */
      until: null | string;
      by: string;
      /** Format: date-time */
      at: string;
      reason: string;
      estimate: components['schemas']['Fathoms'];
      /** Format: double */
      estimateSd: number;
    };
    SharedRow: {
      assignmentId: components['schemas']['AssignmentId'];
      /** Format: date-time */
      sentAt: null | string;
      /** Format: int32 */
      failures: number;
    };
    SheetView: {
      marks: components['schemas']['MarkOfRecord'][];
      /** Format: double */
      seconds: number;
      /** Format: int32 */
      lastWord: null | number;
      /** Format: int32 */
      pauses: number;
      retelling: {
        [key: string]: number;
      };
      answers: components['schemas']['AnswerOfRecord'][];
      note: string;
    };
    /** @enum {unknown} */
    ShelfSort: 'Match' | 'Fit' | 'Depth' | 'Title' | 'Newest' | 'Use';
    ShownDepth: {
      depth: components['schemas']['Fathoms'];
      /** Format: double */
      error: number;
      alone: null | components['schemas']['Fathoms'];
      /** Format: double */
      weight: number;
      /** Format: int32 */
      readers: number;
      /** Format: int32 */
      answers: number;
    };
    /**
     * @description What happened at the door.
     * @enum {unknown}
     */
    SignInEvent: 'SignedIn' | 'Failed' | 'Locked' | 'Guessing' | 'SignedOut';
    SignInEventRow: {
      /** Format: date-time */
      at: string;
      kind: components['schemas']['SignInEvent'];
      who: string;
      device: string;
    };
    SignInRow: {
      readerId: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      userName: string;
      secretKind: components['schemas']['SecretKind'];
      secret: string;
    };
    SignInView: {
      givenName: string;
      userName: string;
      secretKind: components['schemas']['SecretKind'];
      secret: string;
    };
    /**
     * @description What a person does about signals.
     * @enum {unknown}
     */
    SignalDeed: 'See' | 'PutOff' | 'Done' | 'Step' | 'Reopen';
    /**
     * @description How a signal ended.
     * @enum {unknown}
     */
    SignalEnd: 'Evidence' | 'Step' | 'Done';
    /**
     * Format: uuid
     * @description A signal's id.
     */
    SignalId: string;
    /**
     * @description What the data say a teacher should look at, the gravest first.
     * @enum {unknown}
     */
    SignalKind:
      | 'OutOfDepth'
      | 'NothingRead'
      | 'FlickedThrough'
      | 'TooFast'
      | 'SameStrandMissed'
      | 'BackAndForth'
      | 'UnlikelyGoal'
      | 'FeedbackUnread'
      | 'CheckDisagrees'
      | 'QuestionMissed'
      | 'ReadyToMoveDeeper'
      | 'ThinEvidence';
    /** @description One thing in the picture of what a signal rests on. */
    SignalPoint: {
      /**
       * Format: date
       * @description When it was.
       */
      day: string;
      /**
       * Format: double
       * @description In the kind's own unit; see Signal.
       */
      value: number;
      /**
       * Format: double
       * @description Lower end of what was expected, where something was.
       */
      low?: null | number;
      /**
       * Format: double
       * @description Upper end of it.
       */
      high?: null | number;
    };
    SignalRequest: {
      ids: components['schemas']['SignalId'][];
      deed: components['schemas']['SignalDeed'];
      /** Format: date */
      until?: null | string;
    };
    /**
     * @description Where a signal stands with the people it is for.
     * @enum {unknown}
     */
    SignalState: 'New' | 'Seen' | 'PutOff' | 'Done';
    /**
     * @description What to do about a signal, in one press.
     * @enum {unknown}
     */
    SignalStep:
      | 'FindTexts'
      | 'GiveAgain'
      | 'AddToTray'
      | 'StartRecord'
      | 'ChangeGoal'
      | 'GoThrough'
      | 'GivePassages'
      | 'OpenQuestion';
    SignalView: {
      id: components['schemas']['SignalId'];
      kind: components['schemas']['SignalKind'];
      readerId: null | components['schemas']['ReaderId'];
      title: null | string;
      /** Format: date */
      first: string;
      /** Format: date */
      last: string;
      figures: number[];
      points: components['schemas']['SignalPoint'][];
      state: components['schemas']['SignalState'];
      /** Format: date */
      until: null | string;
      step: components['schemas']['SignalStep'];
      strand: null | components['schemas']['Strand'];
      goal: null | components['schemas']['GoalKind'];
      ticketId: null | components['schemas']['TicketId'];
      assignmentId: null | components['schemas']['AssignmentId'];
      questionId: null | components['schemas']['QuestionId'];
      checkId: null | components['schemas']['CheckId'];
    };
    SignalsDone: {
      /** Format: int32 */
      done: number;
    };
    SignalsView: {
      /** Format: date-time */
      upTo: string;
      open: components['schemas']['SignalView'][];
      putOff: components['schemas']['SignalView'][];
      resolved: components['schemas']['EndedSignal'][];
    };
    /**
     * Format: uuid
     * @description The id of one reader's going through a level check.
     */
    SittingId: string;
    SittingSetAside: {
      sittingId: components['schemas']['SittingId'];
      work: components['schemas']['SetAsideView'];
    };
    SittingView: {
      id: components['schemas']['SittingId'];
      readerId: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      /** Format: int32 */
      grade: number;
      class: null | string;
      before: components['schemas']['Fathoms'];
      after: null | components['schemas']['Fathoms'];
      /** Format: double */
      sd: null | number;
      /** Format: date-time */
      changedAt: string;
      parts: components['schemas']['PartView'][];
      /** Format: int32 */
      again: number;
      /** Format: int32 */
      late: number;
      /** Format: double */
      moved: number;
    };
    /** @description How often each source of information was used, at errors and where the reader put an error right. */
    SourceTotals: {
      /** Format: int32 */
      errorsMeaning: number;
      /** Format: int32 */
      errorsStructure: number;
      /** Format: int32 */
      errorsVisual: number;
      /** Format: int32 */
      correctedMeaning: number;
      /** Format: int32 */
      correctedStructure: number;
      /** Format: int32 */
      correctedVisual: number;
    };
    /**
     * @description What a report's days are.
     * @enum {unknown}
     */
    SpanKind: 'Day' | 'Week' | 'Month' | 'Term' | 'Any';
    SpanView: {
      /** Format: date */
      from: string;
      /** Format: date */
      to: string;
    };
    SpansView: {
      kind: components['schemas']['SpanKind'];
      span: components['schemas']['SpanView'];
      before: null | components['schemas']['SpanView'];
      earlier: null | components['schemas']['SpanView'];
      later: null | components['schemas']['SpanView'];
    };
    SpellRequest: {
      /** Format: int32 */
      page: number;
      /** Format: double */
      seconds: number;
      /** Format: date-time */
      startedAt: string;
    };
    /** @description When a word of a text is said. */
    SpokenWord: {
      /**
       * Format: int32
       * @description Where it begins in what is said, in UTF-16 letters from 0.
       */
      at: number;
      /**
       * Format: double
       * @description Seconds from the beginning of the sound.
       */
      start: number;
    };
    StaffClass: {
      name: string;
      part: components['schemas']['Part'];
    };
    StaffRequest: {
      name: string;
      mail?: null | string;
      lead: boolean;
      left: boolean;
      post?: null | components['schemas']['Post'];
    };
    StaffRow: {
      id: components['schemas']['AdultId'];
      name: string;
      userName: string;
      mail: null | string;
      lead: boolean;
      leftSchool: boolean;
      hasPassword: boolean;
      /** Format: date-time */
      signedInAt: null | string;
      classes: components['schemas']['StaffClass'][];
      /** Format: date-time */
      invited: null | string;
      fromSource: boolean;
      post: components['schemas']['Post'];
    };
    /**
     * Format: uuid
     * @description The id of one passage, or one form, within a part.
     */
    StageId: string;
    StageRequest: {
      answers?: null | components['schemas']['MyAnswerRequest'][];
      /** Format: double */
      seconds: number;
      done: boolean;
    };
    StateDepthRequest: {
      depth?: null | components['schemas']['Fathoms'];
      reason?: null | string;
    };
    StatedDepth: {
      depth: components['schemas']['Fathoms'];
      reason: string;
      by: null | string;
      /** Format: date-time */
      at: string;
    };
    Stay: {
      classId: components['schemas']['ClassId'];
      className: string;
      yearName: string;
      schoolName: string;
      /** Format: date */
      from: string;
      /** Format: date */
      to: null | string;
    };
    /**
     * @description What a step does to a thing.
     * @enum {unknown}
     */
    StepKind: 'Added' | 'Changed' | 'Moved' | 'Ended' | 'Back';
    StepText: {
      id: components['schemas']['TextId'];
      title: string;
      /** Format: int32 */
      within: number;
    };
    /** @enum {unknown} */
    Strand: 'Retrieve' | 'Infer' | 'WordMeaning' | 'Summarise' | 'Structure' | 'AuthorsCraft' | 'Connect';
    /** @description First attempts at questions of one strand, by how they went on. */
    StrandTries: {
      strand: components['schemas']['Strand'];
      /**
       * Format: int32
       * @description Right at the first try.
       */
      atOnce: number;
      /**
       * Format: int32
       * @description Right at another.
       */
      later: number;
      /**
       * Format: int32
       * @description Wrong so far.
       */
      notYet: number;
    };
    StrandView: {
      strand: components['schemas']['Strand'];
      /** Format: int32 */
      right: number;
      /** Format: int32 */
      asked: number;
      mean: components['schemas']['Probability'];
      low: components['schemas']['Probability'];
      high: components['schemas']['Probability'];
    };
    StreamClass: {
      classId: components['schemas']['ClassId'];
    };
    StreamRequest: {
      course: string;
    };
    StreamView: {
      name: string;
      course: null | string;
      /** Format: date-time */
      linkedAt: null | string;
      linkedBy: null | string;
      shared: components['schemas']['SharedRow'][];
    };
    /** @description One line on a paper. */
    Stroke: {
      /**
       * Format: uuid
       * @description Made by the page.
       */
      id: string;
      /**
       * Format: int32
       * @description From 0.
       */
      page: number;
      pen: components['schemas']['Pen'];
      /** @description Across and down in turn, each 0 to 1 of the page. */
      points: number[];
      /**
       * @description It was rubbed out, and stays so.
       * @default false
       */
      gone: boolean;
    };
    StrokesRequest: {
      strokes: components['schemas']['Stroke'][];
    };
    SuggestedForGroup: {
      groupId: components['schemas']['GroupId'];
      name: string;
      readerIds: components['schemas']['ReaderId'][];
      texts: components['schemas']['SuggestedText'][];
    };
    SuggestedText: {
      textId: components['schemas']['TextId'];
      title: string;
      topic: string;
      fiction: boolean;
      depths: number[];
      /** Format: int32 */
      within: number;
      /** Format: int32 */
      had: number;
      /** Format: int32 */
      tooDeep: number;
    };
    /** @description A word that may be worth keeping. */
    SuggestedWord: {
      word: string;
      /** Format: int32 */
      times: number;
      /** @description The sentence of the text it first stands in. */
      example: string;
    };
    SumsView: {
      /** Format: int32 */
      readings: number;
      /** Format: int32 */
      openings: number;
      /** Format: int32 */
      words: number;
      /** Format: double */
      seconds: number;
      /** Format: int32 */
      quizzes: number;
      /** Format: int32 */
      outside: number;
      /** Format: int32 */
      outsideMinutes: number;
      /** Format: int32 */
      atOnce: number;
      /** Format: int32 */
      later: number;
      /** Format: int32 */
      notYet: number;
      firstTry: null | components['schemas']['Probability'];
      strands: components['schemas']['StrandTries'][];
      weakest: null | components['schemas']['StrandTries'];
    };
    /** @description What is done for one reader everywhere, set once. */
    Supports: {
      /**
       * @description Texts and questions may be read aloud.
       * @default false
       */
      readAloud: boolean;
      /**
       * @description No timer is shown; time is still taken.
       * @default false
       */
      hideTimer: boolean;
      /**
       * Format: int32
       * @description Time allowed, in percent of the usual; 100 to 300.
       * @default 100
       */
      moreTime: number;
      /**
       * Format: int32
       * @description 0 usual, 1 larger, 2 largest.
       * @default 0
       */
      textSize: number;
      /**
       * @description Choices are shown one at a time.
       * @default false
       */
      oneChoice: boolean;
      /**
       * @description One more try than the assignment allows.
       * @default false
       */
      retry: boolean;
      /** @description True if every value lies in its range. */
      holds?: boolean;
    };
    /** @description Something a teacher could do, and how sure the level would then be. */
    SurerBy: {
      what: components['schemas']['EvidenceSource'];
      /**
       * Format: double
       * @description Expected standard deviation afterwards, fm.
       */
      sd: number;
    };
    SwapRequest: {
      taskId: components['schemas']['TaskId'];
      textId: components['schemas']['TextId'];
      begunToo: boolean;
    };
    TakeBackRequest: {
      guardians: boolean;
    };
    TakenAnswer: {
      id: components['schemas']['AnswerId'];
      code: null | string;
      sentence: null | components['schemas']['Message'];
    };
    TakenText: {
      /** Format: int32 */
      number: number;
      title: string;
      kind: string;
      topic: string;
      fiction: boolean;
      alts?: null | {
        [key: string]: string;
      };
      words?: null | components['schemas']['Word'][];
      /** Format: uuid */
      id?: string;
    };
    TakingIn: {
      id: components['schemas']['TakingInId'];
      readerId: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      classId: components['schemas']['ClassId'];
      class: string;
      from: string;
      askedBy: string;
      /** Format: date-time */
      askedAt: string;
    };
    TakingInDecision: {
      accept: boolean;
      move: boolean;
    };
    /**
     * Format: uuid
     * @description The id of a request to take readers into a class.
     */
    TakingInId: string;
    TalkRequest: {
      open: boolean;
    };
    TalkView: {
      open: boolean;
      answers: components['schemas']['SaidAnswer'][];
    };
    TalkedOver: {
      questionId: components['schemas']['QuestionId'];
      by: null | string;
      /** Format: date-time */
      at: string;
    };
    TalkedOverRequest: {
      done: boolean;
    };
    TalkedView: {
      questionId: null | components['schemas']['QuestionId'];
      name: string;
      words: string;
    };
    /** @description What a task without a text is about. It is kept as it was when it was given. */
    TaskContent: {
      /** @description What readers see in their lists. */
      title: string;
      /**
       * @description Of a written answer.
       * @default
       */
      prompt: string;
      /**
       * @description Where a link leads.
       * @default
       */
      url: string;
      /** @description To practise. */
      words?: null | components['schemas']['ListedWord'][];
      /**
       * Format: int32
       * @description Words that are practised at once, 2 to int WordListRules.AtOnce.
       * @default 10
       */
      atOnce: number;
      /**
       * Format: uuid
       * @description The list the words came from; it may have changed since, or be gone.
       */
      list?: string;
      /** @description By what the words are asked. */
      by?: components['schemas']['WordPractice'];
      /**
       * @description Several readers may hand in one written answer.
       * @default false
       */
      together: boolean;
      rubric?: null | components['schemas']['Rubric'];
    };
    /**
     * Format: uuid
     * @description The id of one thing to do within an assignment.
     */
    TaskId: string;
    /**
     * @description What a reader does for a task. Plans keep it by its name.
     * @enum {unknown}
     */
    TaskKind: 'Text' | 'Quiz' | 'Recording' | 'Written' | 'Words' | 'Link' | 'LevelCheck';
    TaskToGive: {
      id: components['schemas']['AssignmentId'];
      kind: components['schemas']['TaskKind'];
      title: string;
      prompt?: null | string;
      url?: null | string;
      /** Format: uuid */
      wordListId?: string;
      words?: null | number[];
      /** Format: int32 */
      atOnce?: null | number;
      by?: components['schemas']['WordPractice'];
      together?: null | boolean;
      rubric?: null | components['schemas']['Rubric'];
    };
    /** @description A part of a school year that goals are set for; both days count. */
    Term: {
      id: components['schemas']['TermId'];
      schoolYearId: components['schemas']['YearId'];
      name: string;
      /** Format: date */
      firstDay: string;
      /** Format: date */
      lastDay: string;
    };
    /**
     * Format: uuid
     * @description The id of a dated part of a school year.
     */
    TermId: string;
    /** @enum {unknown} */
    TermPlace: 'Past' | 'Now' | 'Next';
    TermRequest: {
      id?: null | components['schemas']['TermId'];
      name: string;
      /** Format: date */
      firstDay: string;
      /** Format: date */
      lastDay: string;
    };
    TermView: {
      id: components['schemas']['TermId'];
      name: string;
      /** Format: date */
      firstDay: string;
      /** Format: date */
      lastDay: string;
      /** Format: int32 */
      week: number;
      /** Format: int32 */
      weeks: number;
    };
    TermsRequest: {
      /** Format: date */
      visibleFrom: string;
      /** Format: date */
      dueOn?: null | string;
      heading: string;
      directions: string;
      note: string;
      /** Format: int32 */
      revision: number;
      /** Format: date */
      closesOn?: null | string;
      need?: components['schemas']['Need'];
      place?: components['schemas']['WorkPlace'];
      results?: components['schemas']['ResultsShown'];
      /** @default false */
      mayChange: boolean;
      /** @default false */
      talk: boolean;
      homeDirections?: null | string;
      homeLanguage?: null | string;
      /** Format: date */
      releasesOn?: null | string;
      /** Format: int32 */
      worth?: null | number;
      together?: null | boolean;
    };
    /**
     * @description What keeps a text from being measured, or the measure from meaning much.
     * @enum {unknown}
     */
    TextDoubt:
      | 'Empty'
      | 'OtherLanguage'
      | 'OtherScript'
      | 'Short'
      | 'NoSentenceMarks'
      | 'EndlessSentence'
      | 'Verse'
      | 'Table'
      | 'Beyond';
    /**
     * Format: uuid
     * @description A text's id.
     */
    TextId: string;
    TextInUse: {
      textId: components['schemas']['TextId'];
      title: string;
      depth: components['schemas']['Fathoms'];
      /** Format: int32 */
      readers: number;
    };
    TextRead: {
      textId: components['schemas']['TextId'];
      title: string;
      fiction: boolean;
      shallowest: components['schemas']['Fathoms'];
      deepest: components['schemas']['Fathoms'];
      /** Format: int32 */
      readers: number;
      /** Format: int32 */
      readings: number;
      /** Format: int32 */
      openings: number;
      /** Format: int32 */
      words: number;
      /** Format: double */
      seconds: number;
      score: null | components['schemas']['Probability'];
      forecast: null | components['schemas']['Probability'];
      /** Format: date-time */
      last: string;
    };
    TextRow: {
      id: components['schemas']['TextId'];
      slug: string;
      title: string;
      kind: string;
      topic: string;
      fiction: boolean;
      blurb: string;
      /** Format: int32 */
      questions: number;
      /** Format: int32 */
      onTheWay: number;
      /** Format: int32 */
      used: number;
      versions: components['schemas']['VersionHead'][];
    };
    TextToGive: {
      id: components['schemas']['AssignmentId'];
      textId: components['schemas']['TextId'];
      versions?: null | {
        [key: string]: components['schemas']['VersionId'];
      };
    };
    TextUse: {
      /** Format: int32 */
      given: number;
      /** Format: int32 */
      handedIn: number;
      /** Format: int32 */
      readers: number;
      forecast: null | components['schemas']['Probability'];
      score: null | components['schemas']['Probability'];
      /** Format: double */
      minutes: null | number;
      /** Format: date-time */
      last: null | string;
      questions: components['schemas']['QuestionUse'][];
    };
    TextVersionBody: {
      label: string;
      pages: string[][];
    };
    TextVersionView: {
      id: components['schemas']['VersionId'];
      label: string;
      depth: components['schemas']['Fathoms'];
      /** Format: double */
      depthError: number;
      levelName: components['schemas']['Message'];
      pages: string[][];
      measure: components['schemas']['MeasureView'];
      formulaDepth: components['schemas']['Fathoms'];
      /** Format: double */
      formulaError: number;
      stated: null | components['schemas']['StatedDepth'];
      shown: null | components['schemas']['ShownDepth'];
      sound: boolean;
    };
    TextView: {
      id: components['schemas']['TextId'];
      title: string;
      kind: string;
      topic: string;
      fiction: boolean;
      blurb: string;
      spelling: string;
      season: string;
      versions: components['schemas']['TextVersionView'][];
      questions: components['schemas']['QuestionView'][];
      words: components['schemas']['Word'][];
      picture: null | string;
      ships: boolean;
      owner: null | string;
      mine: boolean;
      retired: boolean;
      /** Format: int32 */
      revision: number;
      mayChange: boolean;
    };
    TextWhy: {
      sentences: components['schemas']['SentenceWhy'][];
      words: components['schemas']['WordWhy'][];
      /**
       * Format: double
       * @description Share of the words that stand between quotation marks, 0 to 1.
       */
      dialogueShare: number;
    };
    TextsView: {
      spans: components['schemas']['SpansView'];
      rows: components['schemas']['TextRead'][];
    };
    TicketAnswer: {
      id: components['schemas']['AnswerId'];
      answer: components['schemas']['AnswerRequest'];
    };
    TicketAnswers: {
      answers: components['schemas']['TicketAnswer'][];
    };
    /** @enum {unknown} */
    TicketDeed: 'TakeBack' | 'Restore' | 'SendBack' | 'GiveAgain' | 'Release';
    /** Format: uuid */
    TicketId: string;
    TicketRow: {
      id: components['schemas']['TicketId'];
      readerId: components['schemas']['ReaderId'];
      kind: components['schemas']['TaskKind'];
      givenName: string;
      familyName: string;
      version: null | string;
      versionDepth: null | components['schemas']['Fathoms'];
      state: components['schemas']['TicketState'];
      forecast: null | components['schemas']['Probability'];
      /** Format: int32 */
      page: number;
      /** Format: int32 */
      pages: number;
      score: null | components['schemas']['Probability'];
      /** Format: double */
      seconds: number;
      /** Format: date-time */
      openedAt: null | string;
      /** Format: date-time */
      handedInAt: null | string;
      beforeMean: null | components['schemas']['Fathoms'];
      /** Format: double */
      beforeSd: null | number;
      afterMean: null | components['schemas']['Fathoms'];
      /** Format: double */
      afterSd: null | number;
    };
    /**
     * @description Where one reader's copy of an assignment stands.
     * @enum {unknown}
     */
    TicketState:
      | 'Planned'
      | 'Waiting'
      | 'UnderWay'
      | 'HandedIn'
      | 'ToMark'
      | 'Marked'
      | 'Released'
      | 'SentBack'
      | 'TakenBack'
      | 'Closed';
    TicketView: {
      ticket: components['schemas']['TicketRow'];
      classId: components['schemas']['ClassId'];
      kind: components['schemas']['TaskKind'];
      content: null | components['schemas']['TaskContent'];
      replies: components['schemas']['RoundReply'][];
      textId: null | components['schemas']['TextId'];
      title: string;
      mayMark: boolean;
      questions: components['schemas']['QuestionView'][];
      answers: components['schemas']['AnswerView'][];
      /** Format: int32 */
      late: number;
      setAside: components['schemas']['SetAsideView'][];
    };
    TicketsRequest: {
      ticketIds: components['schemas']['TicketId'][];
      deed: components['schemas']['TicketDeed'];
      comment?: null | string;
      /** @default false */
      onlyMissed: boolean;
    };
    Tile: {
      id: components['schemas']['ReaderId'];
      name: string;
      secretKind: components['schemas']['SecretKind'];
      picture: string;
    };
    TimesBody: {
      readerId: components['schemas']['ReaderId'];
      days: components['schemas']['DayOfWeek'][];
    };
    TimesView: {
      /** Format: double */
      low: number;
      /** Format: double */
      middle: number;
      /** Format: double */
      high: number;
    };
    ToMarkAnswer: {
      ticketId: components['schemas']['TicketId'];
      answerId: null | components['schemas']['AnswerId'];
      readerId: components['schemas']['ReaderId'];
      givenName: string;
      version: string;
      proof: null | string;
      words: string;
      /** Format: date-time */
      handedInAt: string;
      state: components['schemas']['TicketState'];
      mark: null | components['schemas']['GivenMark'];
      comment: string;
      writtenWith: null | components['schemas']['TicketId'];
      earlier: components['schemas']['EarlierView'][];
      proposal: null | components['schemas']['Proposal'];
    };
    ToMarkQuestion: {
      key: string;
      questionId: null | components['schemas']['QuestionId'];
      textId: null | components['schemas']['TextId'];
      title: string;
      stem: string;
      /** Format: int32 */
      number: null | number;
      strand: null | components['schemas']['Strand'];
      rubric: null | components['schemas']['Rubric'];
      /** Format: int32 */
      most: number;
      /** Format: int32 */
      right: number;
      answers: components['schemas']['ToMarkAnswer'][];
    };
    ToMarkRow: {
      ticketId: components['schemas']['TicketId'];
      readerId: components['schemas']['ReaderId'];
      givenName: string;
      familyName: string;
      title: string;
      /** Format: date-time */
      handedInAt: string;
      state: components['schemas']['TicketState'];
      /** Format: int32 */
      written: number;
      /** Format: int32 */
      marked: number;
    };
    TogetherView: {
      textId: components['schemas']['TextId'];
      title: string;
      blurb: string;
      /** Format: int32 */
      words: number;
      picture: null | string;
    };
    Transfer: {
      id: components['schemas']['TransferId'];
      readerId: components['schemas']['ReaderId'];
      name: string;
      /** Format: int32 */
      grade: number;
      fromSchoolId: components['schemas']['SchoolId'];
      fromSchool: string;
      toSchoolId: components['schemas']['SchoolId'];
      toSchool: string;
      askedBy: string;
      /** Format: date-time */
      askedAt: string;
    };
    TransferDecision: {
      take: boolean;
    };
    /**
     * Format: uuid
     * @description The id of a reader's way from school to school.
     */
    TransferId: string;
    TransferRequest: {
      readerId: components['schemas']['ReaderId'];
      toSchoolId: components['schemas']['SchoolId'];
    };
    TransfersView: {
      coming: components['schemas']['Transfer'][];
      going: components['schemas']['Transfer'][];
      schools: components['schemas']['OtherSchoolView'][];
    };
    TriesRequest: {
      text?: null | string;
      tries?: null | components['schemas']['WordTry'][];
    };
    TryLine: {
      readerId: components['schemas']['ReaderId'];
      ticketId: components['schemas']['TicketId'];
      /** Format: date-time */
      at: string;
      questionId: components['schemas']['QuestionId'];
      textId: components['schemas']['TextId'];
      title: string;
      stem: string;
      strand: components['schemas']['Strand'];
      mark: components['schemas']['AttemptMark'];
    };
    TryView: {
      id: components['schemas']['AnswerId'];
      picks: number[];
      words: string;
      correct: null | boolean;
      mark: null | components['schemas']['GivenMark'];
      comment: string;
    };
    TwinView: {
      readerId: components['schemas']['ReaderId'];
      name: string;
      /** Format: int32 */
      grade: number;
      where: string;
    };
    TypedRequest: {
      ticketId: components['schemas']['TicketId'];
      /** Format: double */
      points?: null | number;
    };
    /** @description A result that came from elsewhere, as a teacher typed it. */
    TypedResult: {
      /**
       * Format: double
       * @description From 0 to the most there were, in halves.
       */
      points: number;
      /**
       * Format: int32
       * @description The most there were, 1 to int TypedResult.MostPoints.
       */
      of: number;
      share?: components['schemas']['Probability'];
    };
    TypedResultsRequest: {
      /** Format: int32 */
      of: number;
      results: components['schemas']['TypedRequest'][];
    };
    TypedResultsSaved: {
      changeId: components['schemas']['ChangeId'];
      summary: components['schemas']['Message'];
    };
    UndoneView: {
      sentence: components['schemas']['Message'];
    };
    UseView: {
      class: components['schemas']['TextUse'];
      school: null | components['schemas']['TextUse'];
    };
    UsualView: {
      strand: components['schemas']['Strand'];
      /** Format: int32 */
      right: number;
      /** Format: int32 */
      asked: number;
    };
    VersionFit: {
      versionId: components['schemas']['VersionId'];
      /** Format: int32 */
      forecast: number;
      zone: components['schemas']['Zone'];
    };
    VersionHead: {
      id: components['schemas']['VersionId'];
      textId: components['schemas']['TextId'];
      label: string;
      /** Format: int32 */
      position: number;
      /** Format: int32 */
      words: number;
      depth: components['schemas']['Fathoms'];
      /** Format: double */
      depthError: number;
    };
    /**
     * Format: uuid
     * @description The id of a text as it is written at one difficulty.
     */
    VersionId: string;
    VersionRequest: {
      versionId: components['schemas']['VersionId'];
    };
    /** @enum {unknown} */
    WaitingKind: 'Note' | 'CommentReply' | 'HomeAnswer' | 'Joining';
    WaitingRow: {
      kind: components['schemas']['WaitingKind'];
      /** Format: uuid */
      id: string;
      readerId: null | components['schemas']['ReaderId'];
      name: string;
      ticketId: null | components['schemas']['TicketId'];
      title: string;
      words: string;
      /** Format: date-time */
      at: string;
    };
    WayFor: {
      readerIds: components['schemas']['ReaderId'][];
      way: components['schemas']['OwnWay'];
    };
    WeekDay: {
      /** Format: date */
      day: string;
      off: boolean;
    };
    WeekGroup: {
      id: components['schemas']['GroupId'];
      name: string;
      readerIds: components['schemas']['ReaderId'][];
      grouping: null | components['schemas']['GroupingId'];
    };
    WeekPlate: {
      assignment: components['schemas']['AssignmentRow'];
      row: components['schemas']['WeekRow'];
      readers: components['schemas']['ReaderId'][];
      /** Format: int32 */
      late: number;
      /** Format: int32 */
      had: number;
      fit: components['schemas']['FitCount'];
    };
    WeekRow: {
      kind: components['schemas']['WeekRowKind'];
      /**
       * Format: uuid
       * @description Only of a group's row.
       */
      groupId?: string;
    };
    /**
     * @description Where an assignment lies in the week.
     * @enum {unknown}
     */
    WeekRowKind: 'Everybody' | 'Group' | 'Single';
    WeekView: {
      /** Format: date */
      today: string;
      days: components['schemas']['WeekDay'][];
      groups: components['schemas']['WeekGroup'][];
      plates: components['schemas']['WeekPlate'][];
      mayAssign: boolean;
    };
    /** @enum {unknown} */
    Whose: 'Any' | 'Mine' | 'School' | 'Shipped';
    WindowGrade: {
      /** Format: int32 */
      grade: number;
      /** Format: int32 */
      readers: number;
      /** Format: int32 */
      given: number;
      /** Format: int32 */
      finished: number;
      /** Format: int32 */
      again: number;
      now: components['schemas']['DepthSpread'];
      before: null | components['schemas']['DepthSpread'];
    };
    WindowView: {
      yearId: components['schemas']['YearId'];
      year: string;
      season: components['schemas']['Season'];
      last: null | components['schemas']['Message'];
      grades: components['schemas']['WindowGrade'][];
    };
    Word: {
      text: string;
      part: string;
      meaning: string;
      example: string;
    };
    /**
     * Format: uuid
     * @description The id of words to practise.
     */
    WordListId: string;
    WordListRequest: {
      /** Format: int32 */
      revision: number;
      name: string;
      mine: boolean;
      words: components['schemas']['ListedWord'][];
    };
    WordListView: {
      id: components['schemas']['WordListId'];
      name: string;
      owner: null | string;
      own: boolean;
      mine: boolean;
      mayChange: boolean;
      /** Format: int32 */
      revision: number;
      /** Format: date-time */
      changedAt: string;
      words: components['schemas']['ListedWord'][];
      rounds: number[];
      topics: string[];
      depth: null | components['schemas']['Fathoms'];
    };
    WordOfRecord: {
      /** Format: int32 */
      start: number;
      /** Format: int32 */
      length: number;
      name: boolean;
    };
    /**
     * @description By what the words of a list are asked. Tasks keep it by its name.
     * @default Meaning
     * @enum {unknown}
     */
    WordPractice: 'Meaning' | 'Sound' | 'Both';
    /** @description How one word of a list went. */
    WordResult: {
      word: components['schemas']['ListedWord'];
      /**
       * Format: int32
       * @description Readers who knew it at the first try.
       */
      atOnce: number;
      /**
       * Format: int32
       * @description Readers who knew it after another try.
       */
      later: number;
      /**
       * Format: int32
       * @description Readers who tried it and have not known it.
       */
      notYet: number;
      /** @description Those who did not know it at the first try. */
      missedBy: components['schemas']['ReaderId'][];
      /** @description So many missed it that it is worth practising again. */
      often: boolean;
    };
    /** @description One try at a kept word. */
    WordTry: {
      /** Format: date-time */
      at: string;
      right: boolean;
    };
    /** @description One word that is not familiar, and what the text's depth owes to it. */
    WordWhy: {
      word: string;
      /** Format: int32 */
      times: number;
      /** Format: int32 */
      syllables: number;
      /**
       * Format: double
       * @description How often it is used in speech, as a power of ten per thousand million words; 0 = not counted.
       */
      zipf: number;
      /**
       * Format: double
       * @description Fathoms by which the text would be shallower with a familiar word of as many syllables instead.
       */
      adds: number;
      /** @description Where it stands: start and end in the text's characters, one pair after the other. */
      at: number[];
    };
    WordsOfDay: {
      /** Format: date */
      day: string;
      /** Format: int32 */
      words: number;
    };
    /**
     * Format: double
     * @description A rate of reading.
     */
    WordsPerMinute: number;
    WordsRequest: {
      words?: null | string;
    };
    /** @enum {unknown} */
    WorkPlace: 'Anywhere' | 'AtSchool' | 'AtHome';
    YearHead: {
      id: components['schemas']['YearId'];
      name: string;
      /** Format: date */
      firstDay: string;
      /** Format: date */
      lastDay: string;
      /** Format: int32 */
      classes: number;
      /** Format: int32 */
      openClasses: number;
    };
    /**
     * Format: uuid
     * @description A school year's id.
     */
    YearId: string;
    YearRequest: {
      name: string;
      /** Format: date */
      firstDay: string;
      /** Format: date */
      lastDay: string;
      terms: components['schemas']['TermRequest'][];
      daysOff: string[];
      /** Format: uuid */
      id?: string;
    };
    YearView: {
      id: components['schemas']['YearId'];
      name: string;
      /** Format: date */
      firstDay: string;
      /** Format: date */
      lastDay: string;
      terms: components['schemas']['Term'][];
      daysOff: string[];
      /** Format: int32 */
      schoolDays: number;
    };
    /**
     * @description How hard a text is for one reader.
     * @enum {unknown}
     */
    Zone: 'Independent' | 'Instructional' | 'Frustration';
  };
  responses: never;
  parameters: never;
  requestBodies: never;
  headers: never;
  pathItems: never;
}
export type $defs = Record<string, never>;
export type operations = Record<string, never>;
